import type { Part, PartPull } from '../../car/parts/parts';
import { solvedMounts } from './mountOfPart';

const pull = (
  forceN: number,
  direction: PartPull['direction'],
  from: PartPull['from'] = 'own',
): PartPull => ({
  id: `p${forceN}`,
  min: [0, 0, 0],
  max: [1, 1, 1],
  from,
  forceN,
  direction,
});
const solved = (pulls: PartPull[], solid: object): Part =>
  ({ id: 'm', name: 'Mount', kind: 'mount', mesh: { pulls, solid } }) as unknown as Part;

describe('the stiffness of a mount by its own solid analysis', () => {
  it('is force in over movement out', () => {
    // a cantilever of 30 × 10 × 5 mm and 2,000 MPa under 40 N at its tip moves by F·L³/3EI = 1.728 mm: 3·E·I/L³ = 23.1 N/mm
    const inertia = (10 * 5 ** 3) / 12;
    const moveMm = (40 * 30 ** 3) / (3 * 2000 * inertia);
    const [found] = solvedMounts([solved([pull(40, [0, 0, -2])], { moveMm })]);
    expect(found!.stiffnessNPerMm).toBeCloseTo((3 * 2000 * inertia) / 30 ** 3, 9);
  });
  it('counts pulls of its own alone, as they add up, with the movement of their own case', () => {
    const part = solved(
      [pull(30, [1, 0, 0]), pull(40, [0, 1, 0]), pull(99, [1, 0, 0], 'kerbStrike' as never)],
      {
        moveMm: 9,
        cases: [
          { from: 'kerbStrike', moveMm: 9 },
          { from: 'own', moveMm: 0.5 },
        ],
      },
    );
    expect(solvedMounts([part])[0]!.stiffnessNPerMm).toBeCloseTo(100, 9);
  });
  it('is not known of a part that was not solved, does not move, or carries nothing', () => {
    expect(
      solvedMounts([
        { id: 'a', name: 'A', kind: 'mount' } as unknown as Part,
        solved([pull(10, [1, 0, 0])], { moveMm: 0 }),
        solved([pull(10, [1, 0, 0]), pull(10, [-1, 0, 0])], { moveMm: 1 }),
        solved([], { moveMm: 1 }),
      ]),
    ).toEqual([]);
  });
});
