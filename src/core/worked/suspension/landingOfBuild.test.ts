import { applyPatch, type Patch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import type { End, SuspensionEnd } from '../../car/document/suspension';
import { exchanging } from '../../fixtures/remedies';
import { car } from '../../fixtures/car';
import { landingImpact } from '../../physics/loads/impact';
import { landingOneWheelN } from '../../physics/strength/landing';
import { evaluateBuild } from '../../verdict/evaluate';
import { peakTorques } from '../drive/peakTorque';
import { runInputOf } from '../motion/runOfBuild';
import { casesOfBuild } from '../parts/casesOfBuild';
import { driveRun } from '../../physics/motion/run';
import { frictionOf } from '../motion/tyreOfRun';
import { endOf } from './endOfBuild';
import { landingForces, landingOf, oneWheelLandingN } from './landingOfBuild';
import { springChoices } from './springChoices';
import { startCorner } from './start';

const size = { wheelbaseMm: 280, trackMm: 200, tyreRadiusMm: 42 };
const end = (which: End, more: Partial<SuspensionEnd> = {}): SuspensionEnd => ({
  corner: startCorner('unequal', which, size),
  bumpMm: 20,
  droopMm: 12,
  rateNPerMm: 0.9,
  preloadMm: 1,
  damperNsPerM: 30,
  unsprungG: 40,
  ...more,
});
/** Crooked: heavier behind, another spring and damper there. */
const sprung: BuildDocument = applyPatch(car, [
  { path: ['brief', 'dropHeightM'], value: 0.3 },
  { path: ['chassis', 'frontLoadShare'], value: 0.42 },
  {
    path: ['suspension'],
    value: { front: end('front'), rear: end('rear', { rateNPerMm: 1.1, damperNsPerM: 45 }) },
  },
]);
const surface = sprung.brief.surfaces[0]!;
const changed = (...patch: Patch) => applyPatch(sprung, patch);
const check = (document: BuildDocument) =>
  evaluateBuild(document).find(({ id }) => id === 'suspension.landing')!;

describe('a build that lands', () => {
  it('drops each corner with its own share of the mass, spring, damper and the ratio that its points draw', () => {
    const found = landingOf(sprung, 'rear', 0.3);
    if (!found.ok) throw new Error(found.missing.join());
    const { input, impact } = found.value;
    // 58 % of 1.9 kg on two wheels, each less wheel and hub
    const unsprungG = sprung.drive.tyre!.massG + 40;
    const sprungG = (0.58 * 1900) / 2 - unsprungG;
    expect(input.unsprungMassG).toBeCloseTo(unsprungG, 6);
    expect(impact.massOverWheelG).toBeCloseTo(sprungG, 6);
    const corner = endOf(sprung, 'rear');
    const stations = corner.ok ? corner.value.sweep.stations : [];
    expect(input.suspension).toMatchObject({
      springNPerMm: 1.1,
      damperNsPerM: 45,
      wheelTravelMm: 32,
      motionRatio: {
        travelMm: stations.map(({ travelMm }) => travelMm + 12),
        ratio: stations.map(({ motionRatio }) => Math.abs(motionRatio!)),
      },
    });
    // with one ratio at rest in place of the table it lands from nearly as high
    const rest = stations.find(({ travelMm }) => travelMm === 0)!;
    const plain = landingImpact({
      ...input,
      suspension: { ...input.suspension!, motionRatio: Math.abs(rest.motionRatio!) },
    });
    expect(plain.maxDropM! / impact.maxDropM!).toBeGreaterThan(0.8);
    expect(plain.maxDropM! / impact.maxDropM!).toBeLessThan(1.25);
  });

  it('has no travel to land on where its springs let it rest on the stop, however stiff its dampers', () => {
    // 0.02 N/mm over 32 mm of travel carry 0.64 N at most; a rear wheel carries over 4 N
    const limp = check(
      changed(
        { path: ['suspension', 'rear', 'rateNPerMm'], value: 0.02 },
        { path: ['suspension', 'rear', 'damperNsPerM'], value: 400 },
      ),
    );
    expect(limp).toMatchObject({ state: 'over', value: 0, finding: { code: 'suspension.landing.rests' } });
    for (const { patch, state } of limp.remedies)
      expect({ state, damped: patch.every(({ path }) => path[2] === 'damperNsPerM') }).toEqual({
        state,
        damped: false,
      });
  });

  it('is judged by its worse end, and lands from higher with more travel, damping or a stiffer spring', () => {
    const [front, rear] = (['front', 'rear'] as const).map((one) => {
      const found = landingOf(sprung, one, 0.3);
      return found.ok ? found.value.impact.maxDropM! : NaN;
    }) as [number, number];
    expect(check(sprung)).toMatchObject({ value: Math.min(front, rear), limit: 0.3 });
    const worse = front < rear ? 'front' : 'rear';
    const ofWorse = (key: string, value: number) =>
      check(changed({ path: ['suspension', worse, key], value })).value!;
    expect(ofWorse('bumpMm', 24)).toBeGreaterThan(check(sprung).value!);
    expect(ofWorse('damperNsPerM', 60)).toBeGreaterThan(check(sprung).value!);
    expect(ofWorse('rateNPerMm', 1.6)).toBeGreaterThan(check(sprung).value!);
  });

  it('that uses up its travel is cured by each remedy that says so', () => {
    const high = changed({ path: ['brief', 'dropHeightM'], value: 0.4 });
    const before = check(high);
    expect(before.state).toBe('over');
    const curing = before.remedies.filter(
      (one) => exchanging('rateNPerMm')(one) || exchanging('damperNsPerM')(one),
    );
    expect(curing.length).toBeGreaterThan(0);
    for (const { patch } of curing) expect(check(applyPatch(high, patch)).state).not.toBe('over');
  });

  it('loads its parts, its gears and its axles with what the tyre carries, and a guessed stop where springs are not known', () => {
    const forces = landingForces(sprung)!;
    const cases = casesOfBuild(sprung, surface);
    expect(cases.ok && cases.value.cases.landingOneWheel).toMatchObject({
      forceN: forces.oneWheelN,
      how: { code: 'load.impact' },
    });
    expect(cases.ok && cases.value.cases.landingFourWheels!.forceN).toBe(forces.fourWheelsN);
    // half of the car falls on one wheel: between its weight and a stop over the last millimetre
    expect(forces.oneWheelN).toBeGreaterThan(10 * (1.9 / 2) * 9.81);
    expect(forces.oneWheelN).toBeLessThan(landingOneWheelN(1.9, 0.3, 0.005));
    expect(oneWheelLandingN(sprung)).toBe(forces.tyreN);
    const input = runInputOf(sprung, surface);
    if (!input.ok) throw new Error(input.missing.join());
    expect(peakTorques(sprung, surface, input.value, driveRun(input.value)).landingWheelNm).toBeCloseTo(
      forces.tyreN * frictionOf(surface, sprung.drive.tyre!) * 0.042,
      9,
    );
    const bare = changed({ path: ['suspension'], value: { stopMm: 25 } });
    expect(landingForces(bare)).toBeUndefined();
    expect(oneWheelLandingN(bare)).toBeCloseTo((1.9 * 9.81 * 0.325) / 0.025, 9);
    const guessed = casesOfBuild(bare, surface);
    expect(guessed.ok && guessed.value.cases.landingOneWheel!.how.code).toBe('load.halfOfLanding');
  });

  it('hits harder on firmer tyres, which are typed over the start', () => {
    const firm = changed({ path: ['drive', 'tyre', 'rateNPerMm'], value: 60 });
    expect(landingForces(firm)!.tyreN).toBeGreaterThan(1.3 * landingForces(sprung)!.tyreN);
  });

  it('chooses the softest spring that lands from the wish: it does, and one a little softer does not', () => {
    const choices = springChoices(sprung, 'front');
    expect(choices.map(({ id }) => id)).toEqual(['asItIs', 'sag', 'drop', 'damper']);
    const drop = choices.find(({ id }) => id === 'drop')!;
    expect(drop.maxDropM! / 0.3).toBeCloseTo(1, 1);
    const patch = drop.patch.map((one) => ({ ...one, value: 0.97 * (one.value as number) }));
    const softer = landingOf(applyPatch(sprung, patch), 'front', 0.3);
    expect(softer.ok && softer.value.impact.maxDropM!).toBeLessThan(0.3);
  });
});
