import { type Measure, measure } from '../../../base/measure';
import { caseLimitOf, type CaseLimit } from '../../../worked/heat/caseLimit';
import type { Worked } from '../../../worked/worked';
import { defineCheck, type Proposal } from '../../engine/check';
import { motorCaseFace } from './motorCase.face';
import { finding } from '../../../base/finding';
import { coolerBy, heldAgainst, marginOfRise } from './heldAgainst';
import { CLEAR_FROM } from './clearFrom';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.heat.case': { peak: Measure; air: Measure; limit: Measure; of: CaseLimit['of'] };
    'drive.heat.caseAfter': { after: Measure; limit: Measure; of: CaseLimit['of'] };
  }
}

/** Motor case over the pack's duty, against what softens first. */
export const motorCase = defineCheck({
  ...motorCaseFace,
  find: (subject) => {
    const { limitC, of } = caseLimitOf(subject.document.drive);
    const limit = measure(limitC, 'temperatureC');
    return heldAgainst(
      subject,
      'case',
      () => limitC,
      ({ ended, unlimited, input }) =>
        ended.endedBy === 'case'
          ? finding('drive.heat.caseAfter', { after: measure(ended.durationS / 60, 'minutes'), limit, of })
          : finding('drive.heat.case', {
              peak: measure(unlimited.peakCaseC, 'temperatureC'),
              air: measure(input.thermal.ambientC, 'temperatureC'),
              limit,
              of,
            }),
    );
  },
  remedies: (subject) => [
    ...coolerBy(
      subject,
      ({ unlimited, input: { thermal } }) =>
        marginOfRise(thermal.caseLimitC!, unlimited.peakCaseC, thermal.ambientC) >= CLEAR_FROM,
    ),
    ...firmer(subject),
  ],
});

/** A joint or a mount that bears more. */
function firmer({ document: { drive } }: Worked): Proposal[] {
  const { of } = caseLimitOf(drive);
  const edit = (key: string, value: string): Proposal[] => [
    { patch: [{ path: ['drive', 'heat', key], value }], cost: 2 },
  ];
  if (of === 'pinion' || of === 'glue') return edit('pinionJoint', 'screw');
  return of === 'mount' ? edit('mountMaterial', 'polycarbonate') : [];
}
