const HALVINGS = 60;

/**
 * Where a property that holds at `yes` stops holding on the way to `no`.
 *
 * @returns the last place found at which it holds, in the unit of the bracket
 */
export function bisectBoundary(holds: (x: number) => boolean, yes: number, no: number): number {
  let [inside, outside] = [yes, no];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = 0.5 * (inside + outside);
    if (middle === inside || middle === outside) break;
    if (holds(middle)) inside = middle;
    else outside = middle;
  }
  return inside;
}
