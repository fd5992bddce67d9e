import type { State } from '../../verdict/engine/check';
import { curesOf } from './curesOf';

const check = (id: string, margin: number, state: State = margin < 1 ? 'over' : 'clear') => ({
  id,
  margin,
  state,
});

describe('the checks that a cause shows in', () => {
  const checks = [
    check('parts.bumper', 2.1),
    check('parts.arm', 0.4),
    check('power.rail:bec', 0.9),
    check('power.sag', 0.7),
    check('power.load:servo', 0.5),
    check('gears.tooth', 0.8),
  ];
  const of = (cause: string, partId?: string) => curesOf(cause, partId, checks).map(({ id }) => id);

  it('are those whose margin speaks for it, the worst first', () => {
    // by the tables: dropout shows in the regulators and in the pack’s sag
    expect(of('regulatorDropout')).toEqual(['power.sag', 'power.rail:bec']);
    expect(of('faceTooNarrow')).toEqual(['gears.tooth']);
  });

  it('are of parts the one that failed, and none where that is no part of the build', () => {
    expect(of('wallTooThin', 'bumper')).toEqual(['parts.bumper']);
    expect(of('sharpCorner', 'arm')).toEqual(['parts.arm']);
    expect(of('wallTooThin')).toEqual([]);
    expect(of('wallTooThin', 'gone')).toEqual([]);
  });

  it('are none where nothing knows of it, nor what is not worked out', () => {
    expect(of('cableTorn')).toEqual([]);
    expect(curesOf('faceTooNarrow', undefined, [check('gears.tooth', 0, 'unknown')])).toEqual([]);
  });
});
