import { finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import type { End, LinkHeld } from '../../car/document/suspension';
import { casesOfBuild } from '../../worked/parts/casesOfBuild';
import { judgedLink, type LinkWay } from '../../worked/parts/heldLinks';
import type { Worked } from '../../worked/worked';
import { defineFamily, type Proposal } from '../engine/check';
import { LINKS, linksHeldOf } from './links.face';
import { partRemedies } from './partRemedies';

declare module '../../base/finding' {
  interface FindingFacts {
    'links.held': {
      end: End;
      link: string;
      way: LinkWay;
      force: Measure;
      holds: Measure;
      load: string;
      travel: Measure;
      part?: string;
    };
  }
}

const WANTED = 2;
/** Loads that a saver between servo and linkage would hold back. */
const STALLED: readonly string[] = ['servoStallPull', 'servoStallPush'];

/** Every rod, ball, hinge and mount whose strength is known, against the hardest that it carries. */
export const linkChecks = defineFamily(LINKS, (build) =>
  linksHeldOf(build).map(({ end, held, ...face }) => ({
    ...face,
    find: (subject: Worked) => {
      const found = judgedLink(subject.document, end, subject.surface, nowIn(subject.document, end, held));
      if (!found.ok) return found;
      const { forceN, holdsN, margin, way, at, part } = found.value;
      return {
        value: holdsN,
        limit: forceN,
        margin,
        finding: finding('links.held', {
          end,
          link: held.id,
          way,
          force: measure(forceN, 'forceN'),
          holds: measure(holdsN, 'forceN'),
          load: at.load,
          travel: measure(at.travelMm, 'lengthMm'),
          ...(part ? { part: partNamed(subject.document, held.partId) } : {}),
        }),
      };
    },
    remedies: (subject: Worked) => remediesOf(subject, end, nowIn(subject.document, end, held)),
  })),
);

const nowIn = (document: Worked['document'], end: End, held: LinkHeld): LinkHeld =>
  document.suspension[end]?.held?.find(({ id }) => id === held.id) ?? held;

const partNamed = (document: Worked['document'], partId: string | undefined): string =>
  document.parts.items.find(({ id }) => id === partId)?.name ?? '';

function remediesOf({ document, surface }: Worked, end: End, held: LinkHeld): Proposal[] {
  const found = judgedLink(document, end, surface, held);
  if (!found.ok) return [];
  const { part, at, holdsN, forceN } = found.value;
  const own = document.parts.items.find(({ id }) => id === held.partId);
  const cases = casesOfBuild(document, surface);
  const stallNm =
    document.suspension.steering?.saverNm ?? (cases.ok ? cases.value.input.servoStallNm : undefined);
  // the saver gives before the link does, by as much as is wanted; the force of a stall goes with its torque
  const saverNm = stallNm === undefined ? undefined : (stallNm * holdsN) / (WANTED * forceN);
  const saver: Proposal[] =
    STALLED.includes(at.load) && saverNm !== undefined
      ? [
          {
            patch: [{ path: ['suspension', 'steering', 'saverNm'], value: Number(saverNm.toPrecision(2)) }],
            cost: 2,
          },
        ]
      : [];
  return [...saver, ...(part && own ? partRemedies(own, part) : [])];
}
