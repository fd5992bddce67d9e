const [S_PER_MIN, MIN_PER_H] = [60, 60];

/** A time as a person says it: hours and minutes, minutes under an hour. */
export function durationText(seconds: number): string {
  const minutes = Math.round(seconds / S_PER_MIN);
  const [hours, rest] = [Math.floor(minutes / MIN_PER_H), minutes % MIN_PER_H];
  if (hours === 0) return `${Math.max(seconds > 0 ? 1 : 0, rest)}\u00a0min`;
  return rest === 0 ? `${hours}\u00a0h` : `${hours}\u00a0h\u00a0${rest}\u00a0min`;
}
