import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { End } from '@/core/car/document/suspension';
import type { WorstAt } from '@/core/physics/links/definition';
import type { HardestForce } from '@/core/worked/links/linksOfBuild';
import type { LinkWay } from '@/core/worked/parts/heldLinks';
import { firstUp } from '../lists';
import type { Sentences } from '../write';

/** Members and joints of a corner, as a sentence names them. */
export const LINK_TERMS: Readonly<Record<string, string>> = {
  tie: 'tie rod',
  upper: 'upper link',
  pushrod: 'pushrod',
  damper: 'damper',
  lowerFront: 'lower arm, front hinge',
  lowerRear: 'lower arm, rear hinge',
  upperFront: 'upper arm, front hinge',
  upperRear: 'upper arm, rear hinge',
  lowerOuter: 'lower ball',
  upperOuter: 'upper ball',
  outerFront: 'outer hinge, front',
  outerRear: 'outer hinge, rear',
  kingpinLower: 'kingpin, lower end',
  kingpinUpper: 'kingpin, upper end',
  tieOuter: 'ball of the tie rod',
  damperOuter: 'lower eye of the damper',
  pushrodArm: 'lower ball of the pushrod',
};

/** Points where the corner pushes the chassis. */
export const MOUNT_TERMS: Readonly<Record<string, string>> = {
  ...LINK_TERMS,
  upperInner: 'upper link',
  tieInner: 'tie rod, at the rack',
  damperInner: 'damper tower',
  damperChassis: 'damper tower',
  rockerPivot: 'pivot of the rocker',
};

/** What a wheel meets. */
export const WHEEL_LOAD_TERMS: Readonly<Record<string, string>> = {
  landing: 'landing',
  kerbAhead: 'a kerb ahead',
  kerbSide: 'a kerb from the side',
  cornering: 'cornering',
  braking: 'braking',
  drive: 'driving off',
  servoStallPull: 'a jammed wheel, servo pulling',
  servoStallPush: 'a jammed wheel, servo pushing',
};

const linkTerm = (end: End, link: string): string => `${end} ${LINK_TERMS[link] ?? link}`;

/** The check of a link, by its end and its name. */
export function linkName(named: string): { title: string; short: string } {
  const [end, link = ''] = named.split('.');
  const term = linkTerm(end as End, link);
  return { title: firstUp(term), short: term };
}

export const LINK_SENTENCES: Sentences<'links'> = {
  'links.held': ({ end, link, way, force, holds, load, travel, part }) =>
    `${firstUp(linkTerm(end, link))}${part ? ` (${part})` : ''}: ${way === 'pull' ? 'pulled' : 'pushed'} with ${force} by ${WHEEL_LOAD_TERMS[load] ?? load} at ${travel} of travel; it withstands ${holds}.`,
};

interface SaidLink {
  link: string;
  way: LinkWay;
  forceN: number;
  margin: number;
  at: WorstAt;
}

/** The link that is nearest to its limit, or while none is known the one that carries the most. */
export function forcesAnswer(
  end: End,
  hardest: ReadonlyMap<string, HardestForce>,
  worst: SaidLink | undefined,
  reader: Reader,
): string {
  const n = (forceN: number) => formatText(forceN, 'forceN', reader, 3);
  const by = ({ load, travelMm }: WorstAt) =>
    `${WHEEL_LOAD_TERMS[load] ?? load} at ${formatText(travelMm, 'lengthMm', reader, 2)} of travel`;
  if (worst) {
    const margin = formatNumber(worst.margin, reader.locale, 2);
    return `${worst.margin < 1 ? 'Breaks first' : 'Weakest'}: the ${linkTerm(end, worst.link)}, ${worst.way === 'pull' ? 'pulled' : 'pushed'} with ${n(worst.forceN)} by ${by(worst.at)}; it withstands ${margin} times that.`;
  }
  const most = [...hardest].reduce<readonly [string, HardestForce] | undefined>((top, one) => {
    const of = ([, { pullN, pushN = 0 }]: readonly [string, HardestForce]) => Math.max(pullN, pushN);
    return top && of(top) >= of(one) ? top : one;
  }, undefined);
  if (!most) return 'Nothing acts on the links.';
  const [link, { pullN, pull, pushN = 0, push }] = most;
  const isPushed = pushN > pullN;
  const at = isPushed ? push : pull;
  return `The ${linkTerm(end, link)} carries the most: ${n(Math.max(pullN, pushN))}${at ? ` by ${by(at)}` : ''}. Say what your links withstand, and their margins stand here.`;
}
