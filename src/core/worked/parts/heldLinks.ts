import type { Assembled } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { End, LinkHeld } from '../../car/document/suspension';
import type { LinksForcesResult, WorstAt } from '../../physics/links/definition';
import { type HardestForce, hardestForces, linksOfBuild } from '../links/linksOfBuild';
import { casesOfBuild } from './casesOfBuild';
import type { LoadedPart } from './loadedPart';
import { partStrength } from './partStrength';

/** Which of the two ways a force can go is the nearer to its limit. */
export type LinkWay = 'pull' | 'push';

/** A rod, ball, hinge or mount against what it withstands. */
export interface JudgedLink {
  /** What it carries in the way that is nearest to its limit, and what it withstands in that way, N. */
  forceN: number;
  holdsN: number;
  margin: number;
  way: LinkWay;
  at: WorstAt;
  /** The part that it is, with what the force leaves of it. */
  part?: LoadedPart;
}

/** Forces in the links of one end on one surface, or what is missing. */
export function linksOn(
  document: BuildDocument,
  end: End,
  surface: ChosenSurface | undefined,
): Assembled<LinksForcesResult> {
  const loads = casesOfBuild(document, surface);
  if (!loads.ok) return loads;
  return linksOfBuild(document, end, surface!, loads.value);
}

/** What a link of an end carries against what it withstands; or what is missing, also where nothing acts on it. */
export function judgedLink(
  document: BuildDocument,
  end: End,
  surface: ChosenSurface | undefined,
  held: LinkHeld,
): Assembled<JudgedLink> {
  const found = linksOn(document, end, surface);
  if (!found.ok) return found;
  const hardest = hardestForces(found.value).get(held.id);
  const at = (key: string) => `suspension.${end}.held.${held.id}.${key}`;
  if (!hardest) return { ok: false, missing: [`suspension.${end}.corner`] };
  if (held.partId !== undefined) return asPart(document, end, surface, held, hardest);
  const ways = (['pull', 'push'] as const).flatMap((way): JudgedLink[] => {
    const [forceN = 0, where] =
      way === 'pull' ? [hardest.pullN, hardest.pull] : [hardest.pushN, hardest.push];
    const holdsN = way === 'pull' ? (held.pullN ?? held.pushN) : (held.pushN ?? held.pullN);
    return where && holdsN !== undefined ? [{ forceN, holdsN, margin: holdsN / forceN, way, at: where }] : [];
  });
  const worst = ways.reduce<JudgedLink | undefined>(
    (least, one) => (least && least.margin <= one.margin ? least : one),
    undefined,
  );
  return worst ? { ok: true, value: worst } : { ok: false, missing: [at('pullN')] };
}

/** The part of the build with this link's force as its only load. */
function asPart(
  document: BuildDocument,
  end: End,
  surface: ChosenSurface | undefined,
  { id, partId }: LinkHeld,
  { pullN, pull, pushN = 0, push }: HardestForce,
): Assembled<JudgedLink> {
  const part = document.parts.items.find((one) => one.id === partId);
  if (!part) return { ok: false, missing: [`suspension.${end}.held.${id}.partId`] };
  const [first] = part.loads ?? [];
  const { mesh: _, ...few } = part;
  const strength = partStrength(document, surface, {
    ...few,
    loads: [{ id: 'link', from: 'link', end, link: id, ...(first?.bends ? { bends: first.bends } : {}) }],
  });
  if (!strength.ok) return strength;
  const { worst } = strength.value;
  const way = pushN > pullN ? 'push' : 'pull';
  const at = way === 'push' ? push : pull;
  return at
    ? {
        ok: true,
        value: { forceN: worst.forceN, holdsN: worst.breaksAtN, margin: worst.margin, way, at, part: worst },
      }
    : { ok: false, missing: [`suspension.${end}.corner`] };
}
