import type { RevisionRecord } from '../../car/records/records';

/** A revision's place in the drawn line: its row in the order of letters, and its lane. */
export interface Placed {
  id: string;
  row: number;
  lane: number;
  /** Where it comes from; none of the first. */
  from?: { row: number; lane: number };
}

/** The line of revisions with its branches: the last child goes on in its parent's lane, every other one turns into a lane of its own. */
export function branchesOf(revisions: readonly Pick<RevisionRecord, 'id' | 'parentId'>[]): Placed[] {
  const lastChild = new Map(
    revisions.flatMap(({ id, parentId }) => (parentId === undefined ? [] : [[parentId, id] as const])),
  );
  const placed = new Map<string, Placed>();
  let lanes = 0;
  revisions.forEach(({ id, parentId }, row) => {
    const parent = parentId === undefined ? undefined : placed.get(parentId);
    const lane = parent && lastChild.get(parentId!) === id ? parent.lane : lanes++;
    placed.set(id, { id, row, lane, ...(parent ? { from: { row: parent.row, lane: parent.lane } } : {}) });
  });
  return [...placed.values()];
}
