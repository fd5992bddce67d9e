import { type Measure, measure } from '../../../base/measure';
import type { Worked } from '../../../worked/worked';
import { motorPeakA } from '../../../worked/drive/motorShares';
import { wiringOf } from '../../../worked/power/wiring';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.wiring.misfits': { wires: { from: string; to: string; plug: string; socket: string }[] };
    'power.wiring.thin': { wires: { to: string; area: Measure; needs: Measure; current: Measure }[] };
    'power.wiring.fits': Record<never, never>;
  }
  interface WorkingFacts {
    'power.wiring': { from: string; to: string; typicalA: number; peakA: number; wantedMm2: number }[];
  }
}

function rowsOf(subject: Worked) {
  const { document } = subject;
  const [input, run] = [subject.runInput(), subject.run()];
  return wiringOf(document, subject.supply(), {
    packA: run?.peakBatteryCurrentA,
    motorA: input.ok && run ? motorPeakA(document, input.value, run) : undefined,
  });
}

/** Plugs that fit, and copper enough for its current. */
export const wiring = defineCheck({
  id: 'power.wiring',
  at: { segment: 'power', side: 'wiring' },
  quantity: 'count',
  kind: 'band',
  find: (subject): Found => {
    const rows = rowsOf(subject);
    if (!rows.some(({ wire }) => wire.plug !== undefined || wire.areaMm2 !== undefined))
      return { missing: ['power.wires'] };
    const misfits = rows.filter(({ misfit }) => misfit);
    const thin = rows.filter(({ thin: weak }) => weak);
    return {
      value: misfits.length + thin.length,
      state:
        misfits.length > 0 || thin.some(({ wire, wantedMm2 }) => wire.areaMm2! < wantedMm2! / 2)
          ? 'over'
          : thin.length > 0
            ? 'tight'
            : 'clear',
      finding:
        misfits.length > 0
          ? finding('power.wiring.misfits', {
              wires: misfits.map(({ from, to, wire }) => ({
                from,
                to,
                plug: wire.plug!,
                socket: wire.socket!,
              })),
            })
          : thin.length > 0
            ? finding('power.wiring.thin', {
                wires: thin.map(({ to, wire, wantedMm2, peakA }) => ({
                  to,
                  area: measure(wire.areaMm2!, 'areaMm2'),
                  needs: measure(wantedMm2!, 'areaMm2'),
                  current: measure(peakA!, 'currentA'),
                })),
              })
            : finding('power.wiring.fits', {}),
      working: working(
        'power.wiring',
        rows.flatMap(({ from, to, typicalA = 0, peakA, wantedMm2 }) =>
          wantedMm2 === undefined ? [] : [{ from, to, typicalA, peakA: peakA!, wantedMm2 }],
        ),
      ),
    };
  },
  remedies: (subject): Proposal[] => {
    const rows = rowsOf(subject);
    const at = (id: string, key: string) => ['power', 'wires', id, key];
    return [
      ...rows
        .filter(({ misfit }) => misfit)
        .map(({ id, wire }) => ({ patch: [{ path: at(id, 'socket'), value: wire.plug }], cost: 1 as const })),
      ...rows
        .filter(({ thin }) => thin)
        .map(({ id, wantedMm2 }) => ({
          patch: [{ path: at(id, 'areaMm2'), value: wantedMm2 }],
          cost: 1 as const,
        })),
    ];
  },
  provenBy: { run: 'endurance', how: 'feelWires' },
  supports: [],
});
