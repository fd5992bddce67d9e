import { type Measure, measure } from '../../base/measure';
import type { Finding } from '../../base/finding';
import { finding, working } from '../../base/finding';
import type { Part } from '../../car/parts/parts';
import { type ScrewKind } from '../../car/parts/partShape';
import { partStrength } from '../../worked/parts/partStrength';
import { type LoadedPart } from '@/core/worked/parts/loadedPart';
import type { BreakMode } from '../../worked/parts/partWorking';
import type { Worked } from '../../worked/worked';
import { defineFamily } from '../engine/check';
import { PARTS, judgedPartsOf } from './parts.face';
import { partRemedies } from './partRemedies';

declare module '../../base/finding' {
  interface FindingFacts {
    'parts.part': {
      from: LoadedPart['from'];
      wheel?: LoadedPart['wheelLoad'];
      force: Measure;
      breaks: Measure;
      mode: BreakMode;
      screwKind?: ScrewKind;
      between: boolean;
      share?: Measure;
      whole?: Measure;
      how: Finding;
      /** What corners and holes left of the beam, where a solid analysis said so. */
      left?: Measure;
      /** Of a load that comes again: how often, and what it leaves of the strength, with the range. */
      tired?: { times: Measure; left: Measure; low: Measure; high: Measure };
    };
  }
}

/** Every part that carries something, or was told what acts on it, against the worst of its loads. */
export const partChecks = defineFamily(PARTS, (build) =>
  judgedPartsOf(build).map(({ of, ...face }) => ({
    ...face,
    find: ({ document, surface }) => {
      const found = partStrength(document, surface, nowIn(document, of));
      if (!found.ok) return found;
      const { worst } = found.value;
      return {
        value: worst.breaksAtN,
        limit: worst.forceN,
        margin: worst.margin,
        finding: findingOfPart(worst),
        working: working('parts.part', worst.working),
      };
    },
    remedies: ({ document, surface }) => {
      const part = nowIn(document, of);
      const found = partStrength(document, surface, part);
      return found.ok ? partRemedies(part, found.value.worst) : [];
    },
  })),
);

const nowIn = (document: Worked['document'], of: Part) =>
  document.parts.items.find(({ id }) => id === of.id) ?? of;

/** Where it fails: in the layers or between them, by what, and what it stands against. */
export const findingOfPart = ({
  from,
  wheelLoad,
  forceN,
  breaksAtN,
  mode,
  screwKind,
  between,
  share,
  caseN,
  how,
  leftOfBeam,
  tired,
}: LoadedPart): Finding =>
  finding('parts.part', {
    from,
    ...(wheelLoad ? { wheel: wheelLoad } : {}),
    force: measure(forceN, 'forceN'),
    breaks: measure(breaksAtN, 'forceN'),
    mode,
    ...(screwKind ? { screwKind } : {}),
    between,
    ...(share === undefined ? {} : { share: measure(share, 'share') }),
    ...(caseN === undefined ? {} : { whole: measure(caseN, 'forceN') }),
    how,
    ...(leftOfBeam === undefined ? {} : { left: measure(leftOfBeam, 'share') }),
    ...(tired
      ? {
          tired: {
            times: measure(tired.times, 'count'),
            left: measure(tired.left, 'share', 2),
            low: measure(tired.low, 'share', 2),
            high: measure(tired.high, 'share', 2),
          },
        }
      : {}),
  });
