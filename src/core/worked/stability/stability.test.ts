import { applyPatch, type Patch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { airEstimate } from '../../physics/air/estimate';
import { driveRun } from '../../physics/motion/run';
import { gustAside } from '../../physics/handling/steady/gust';
import { handlingSteady } from '../../physics/handling/steady/steady';
import { runInputOf } from '../motion/runOfBuild';
import { spreadsOf } from '../field/knobs';
import { standingOf } from '../standing/standingOfBuild';
import { airOfBuild, shapesOf } from '../air/airOfBuild';
import { elementsOfBuild } from './elementsOfBuild';
import { looseBecause } from './loose';
import { steadyBand } from './steadyBand';
import { steadyInputOf } from './steadyOfBuild';
import { steadyOverSpeed } from './steadyOverSpeed';

const [asphalt] = car.brief.surfaces;
const changed = (...patch: Patch) => applyPatch(car, patch);
const WING = {
  id: 'w',
  profile: 'cambered' as const,
  spanMm: 160,
  chordMm: 40,
  angleDeg: 6,
  xMm: -310,
  zMm: 150,
};
const drawn = changed(
  { path: ['chassis', 'cdaM2'], value: undefined },
  { path: ['chassis', 'air'], value: { shape: 'buggy', wings: [WING] } },
);
const steadyOf = (document: typeof car, speedMps: number) => {
  const input = steadyInputOf(document, asphalt, { speedMps });
  if (!input.ok) throw new Error(input.missing.join());
  return input.value;
};

describe('the air of a build', () => {
  it('follows from its shapes, in the size that the car has', () => {
    // 2.4 × 60 mm high on a track of 200 mm, seven tenths of that box; 280 mm and a tyre at either end
    const height = 144;
    const radius = car.drive.tyre!.radiusMm;
    const length = 280 + 2 * radius;
    const direct = airEstimate({
      wheelbaseMm: 280,
      referenceSpeedMps: 8,
      body: {
        shape: 'buggy',
        frontalAreaM2: (0.7 * 200 * height) / 1e6,
        lengthMm: length,
        xMm: -140,
        zMm: height / 2,
        sideAreaM2: (0.65 * length * height) / 1e6,
      },
      wings: [WING],
    });
    const air = airOfBuild(drawn);
    expect(air.cdaM2).toBeCloseTo(direct.cdaM2, 12);
    expect(air.claRearM2).toBeCloseTo(direct.claRearM2, 12);
    const run = runInputOf(drawn, asphalt!);
    expect(run.ok && run.value.car.cdaM2).toBeCloseTo(direct.cdaM2, 12);
    expect(run.ok && run.value.car.claRearM2).toBeCloseTo(direct.claRearM2, 12);
    expect(standingOf({ document: drawn, surface: asphalt })).toMatchObject({ stability: {} });
  });

  it('a measured or typed figure counts before the shapes, one to start with after them', () => {
    const typed = applyPatch(drawn, [{ path: ['chassis', 'cdaM2'], value: 0.05 }]);
    expect(airOfBuild(typed).cdaM2).toBe(0.05);
    expect(airOfBuild(typed).claRearM2).toBe(airOfBuild(drawn).claRearM2);
    const started = applyPatch(typed, [{ path: ['assumed'], value: ['chassis/cdaM2'] }]);
    expect(airOfBuild(started).cdaM2).toBe(airOfBuild(drawn).cdaM2);
    expect(airOfBuild(car)).toEqual({ cdaM2: 0.03, claFrontM2: 0, claRearM2: 0 });
    expect(airOfBuild(changed({ path: ['chassis', 'cdaM2'], value: undefined })).cdaM2).toBeUndefined();
  });

  it('brings its own spread to what is predicted', () => {
    const shapes = shapesOf(drawn);
    const [low, high] = shapes.ok ? shapes.value.bands.cdaM2 : [0, 0];
    const { cdaM2 } = airOfBuild(drawn);
    expect(spreadsOf(drawn, asphalt!.id).drag).toBeCloseTo((high - low) / Math.sqrt(12) / cdaM2!, 12);
    const measured = changed({
      path: ['chassis', 'cdaMeasured'],
      value: { cdaM2: 0.03, errorM2: 0.0006 },
    });
    expect(spreadsOf(measured, asphalt!.id).drag).toBeCloseTo(0.02, 12);
    expect(spreadsOf(car, asphalt!.id).drag).toBe(0.1);
    // a figure that is typed afterwards is no measured one
    const typed = applyPatch(measured, [{ path: ['chassis', 'cdaM2'], value: 0.04 }]);
    expect(spreadsOf(typed, asphalt!.id).drag).toBe(0.1);
  });

  it('a wing presses the rear and costs top speed, as the car without it shows', () => {
    const bare = applyPatch(drawn, [{ path: ['chassis', 'air', 'wings'], value: undefined }]);
    expect(airOfBuild(drawn).claRearM2).toBeGreaterThan(airOfBuild(bare).claRearM2);
    const top = (document: typeof car) => {
      const run = runInputOf(document, asphalt!);
      return run.ok ? driveRun(run.value).topSpeedMps! : NaN;
    };
    const found = elementsOfBuild(drawn, asphalt!).find(({ element }) => element.id === 'w')!;
    expect(found.topSpeedChangeMps).toBeCloseTo(top(drawn) - top(bare), 9);
    expect(found.topSpeedChangeMps).toBeLessThan(0);
    const speed = 20;
    const rear = (document: typeof car) => handlingSteady(steadyOf(document, speed)).axleLoadsN.rear;
    const more = airOfBuild(drawn).claRearM2 - airOfBuild(bare).claRearM2;
    expect(rear(drawn) - rear(bare)).toBeCloseTo(0.6 * speed ** 2 * more, 9);
  });
});

describe('a build straight ahead', () => {
  it('is what the scale and its tyres say', () => {
    expect(steadyOf(car, 6)).toMatchObject({
      massKg: 1.9,
      frontLoadShare: 0.5,
      cgHeightMm: 60,
      drivenAxles: 'all',
      tyres: { front: { corneringPerRad: 9, mu: asphalt!.mu }, rear: { corneringPerRad: 9 } },
      air: { cdaM2: 0.03, claFrontM2: 0, claRearM2: 0 },
    });
    const across = applyPatch(car, [
      { path: ['brief', 'surfaces', asphalt!.id, 'lateralGripFactor'], value: 0.9 },
    ]);
    const input = steadyInputOf(across, across.brief.surfaces[0], { speedMps: 6 });
    expect(input.ok && input.value.tyres.front.mu).toBeCloseTo(0.9 * asphalt!.mu, 12);
    expect(steadyInputOf(car, undefined, { speedMps: 6 })).toEqual({
      ok: false,
      missing: ['brief.surfaces'],
    });
  });

  const rear = changed({ path: ['drive', 'drivenAxles'], value: 'rear' });
  it.each([
    ['lift', [{ path: ['chassis', 'claRearM2'], value: -0.03 }]],
    ['tyres', [{ path: ['suspension', 'aids'], value: { tyre: { corneringFrontPerRad: 11 } } }]],
    ['drive', [{ path: ['chassis', 'cdaM2'], value: 0.12 }]],
  ] as const)('says that %s makes it loose', (cause, patch) => {
    const document = applyPatch(rear, patch as unknown as Patch);
    expect(handlingSteady(steadyOf(document, 5)).lowestUnstableMps).toBeDefined();
    expect(looseBecause(steadyOf(document, 5))).toBe(cause);
  });

  it('under full throttle from rest its rear tyres have less left across than with the speed held', () => {
    const [held, throttle, brake] = (['held', 'throttle', 'brake'] as const).map((pedal) => {
      const rows = steadyOverSpeed(rear, asphalt, pedal, 8);
      if (!rows.ok) throw new Error(rows.missing.join());
      return rows.value[4]!;
    });
    expect(throttle!.accelMps2).toBeGreaterThan(1);
    expect(brake!.accelMps2).toBeLessThan(0);
    // load moved to the rear: m·a·h/L
    expect(throttle!.rearN - held!.rearN).toBeCloseTo((1.9 * throttle!.accelMps2 * 60) / 280, 9);
    expect(throttle!.axleLimitsMps2.rear).toBeLessThan(held!.axleLimitsMps2.rear);
  });

  it('is as sure as its figures: what is known exactly lies in the middle of the band', () => {
    const loose = applyPatch(rear, [
      {
        path: ['suspension', 'aids'],
        value: { tyre: { corneringFrontPerRad: 11, corneringRearPerRad: 8 } },
      },
    ]);
    const exact = handlingSteady(steadyOf(loose, 1)).lowestUnstableMps!;
    const band = steadyBand(loose, asphalt!)!;
    const [low, middle, high] = band.looseMps!;
    expect(low).toBeLessThan(exact);
    expect(high).toBeGreaterThan(exact);
    expect(Math.abs(middle / exact - 1)).toBeLessThan(0.12);
    const wide = steadyBand(
      applyPatch(rear, [{ path: ['suspension', 'aids'], value: { tyre: { corneringFrontPerRad: 11 } } }]),
      asphalt!,
    )!;
    // a stiffness that is typical only is less sure
    expect(wide.looseMps![2] - wide.looseMps![0]).toBeGreaterThan(high - low);
  });
});

describe('a gust from the side', () => {
  const still = { ...steadyOf(drawn, 15), air: { cdaM2: 0.03, claFrontM2: 0, claRearM2: 0 } };
  it('moves nothing that offers no side to it', () => {
    expect(gustAside(still, 5, 0.5)).toEqual({ asideM: 0, headingDeg: 0 });
  });

  it('begins as a push on a mass, and turns the car the way its centre of pressure lies', () => {
    const at = (centreOfPressureXMm: number) => ({
      ...still,
      air: { ...still.air, sideForceSlopeM2: 0.03, centreOfPressureXMm },
    });
    // F/m·t²/2 before the tyres answer
    const force = 0.6 * 15 ** 2 * 0.03 * (5 / 15);
    const short = 0.002;
    expect(gustAside(at(-140), 5, short).asideM / (((force / 1.9) * short ** 2) / 2)).toBeCloseTo(1, 0);
    expect(gustAside(at(0), 5, 0.3).headingDeg).toBeGreaterThan(0);
    expect(gustAside(at(-280), 5, 0.3).headingDeg).toBeLessThan(0);
    const [one, twice] = [5, 10].map((gust) => gustAside(at(0), gust, 0.3).headingDeg);
    expect(twice! / one!).toBeCloseTo(2, 9);
  });
});
