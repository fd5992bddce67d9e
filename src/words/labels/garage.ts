/** What the cars of a garage are sorted by. */
export const GARAGE_SORT_WORDS = {
  oldest: 'age, the oldest first',
  newest: 'age, the newest first',
  name: 'name',
  speed: 'speed, the fastest first',
  worst: 'what fails, the worst first',
} as const;
