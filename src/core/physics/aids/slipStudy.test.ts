import { studySlip } from './slipStudy';

const finish = (
  search: Generator<number, ReturnType<typeof studySlip> extends Generator<number, infer R> ? R : never>,
) => {
  let [steps, next] = [0, search.next()];
  while (!next.done) {
    steps = next.value;
    next = search.next();
  }
  return { steps, study: next.value };
};

describe('a study of slip targets', () => {
  it('takes the mean over its seeds and names the band that is as good', () => {
    // times of 3, 2 and 2.01 s with ±0.1 by seed; the last target never arrives
    const times: Record<number, number> = { 0: 3, 10: 2, 20: 2.01 };
    const { steps, study } = finish(
      studySlip(
        (target, seed) =>
          target === 30
            ? { meanSlipPct: 0 }
            : { value: times[target]! + (seed === 1 ? 0.1 : seed === 2 ? -0.1 : 0), meanSlipPct: target },
        [0, 10, 20, 30],
        3,
      ),
    );
    expect(steps).toBe(12);
    expect(study.rows[1]).toEqual({
      targetSlipPct: 10,
      mean: 2,
      sd: expect.closeTo(0.1, 12),
      meanSlipPct: 10,
    });
    expect(study.rows[3]).not.toHaveProperty('mean');
    expect(study.best!.targetSlipPct).toBe(10);
    expect(study.band).toEqual({ from: 10, to: 20 });
  });
});
