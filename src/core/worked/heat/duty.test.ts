import { applyPatch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import { car } from '../../fixtures/car';
import type { TraceSeries } from '../../physics/heat/trace';
import { packOfBuild } from './enduranceOfBuild';
import { lapOf } from '../place/lapOfBuild';
import { lapDriven } from '../track/lapDriven';
import { heatOf } from './heatOf';
import { drivePack } from './wholePack';

const grass = car.brief.surfaces[0]!;
const withHeat = (heat: object) =>
  applyPatch(
    car,
    Object.entries(heat).map(([key, value]) => ({ path: ['drive', 'heat', key], value })),
  );
const cycleOf = (document: BuildDocument) => {
  const found = packOfBuild(document, grass);
  return found.ok ? found.value.cycle : found.missing;
};

describe('how a pack is driven', () => {
  it('drives laps unless a style is chosen, and a speed of one’s own from the wish or as typed', () => {
    expect(cycleOf(car)).toEqual({ style: 'laps' });
    expect(cycleOf(withHeat({ duty: 'crawl' }))).toEqual({ style: 'crawl' });
    // a held speed is a flat line; with a rest it starts from standing and stops
    expect(cycleOf(withHeat({ duty: 'cruise' }))).toEqual({
      series: { tS: [0, 60], speedMps: [0.6 * 8, 0.6 * 8] },
    });
    expect(cycleOf(withHeat({ duty: 'cruise', cruiseMps: 5, cruiseS: 10, restS: 20 }))).toEqual({
      series: { tS: [0, 0.1, 10.1, 10.2, 30.2], speedMps: [0, 5, 5, 0, 0] },
    });
    const wishless = applyPatch(withHeat({ duty: 'cruise' }), [
      { path: ['brief', 'targetMps'], value: undefined },
    ]);
    expect(packOfBuild(wishless, grass)).toEqual({ ok: false, missing: ['drive.heat.cruiseMps'] });
  });

  it('drives the build’s own lap, or a track of one’s own, and says what is missing of either', () => {
    const lap = withHeat({ duty: 'lap' });
    expect(packOfBuild(lap, grass)).toEqual({ ok: false, missing: ['brief.track.segments'] });
    const circle = applyPatch(lap, [
      {
        path: ['brief', 'track'],
        value: { segments: [{ id: 'a', lengthM: 50, radiusM: 50 / (2 * Math.PI) }] },
      },
    ]);
    const found = packOfBuild(circle, grass);
    // nine tenths of the grip: v² = 0.9·μ·g·r all the way round, which is less than its top speed
    const lateral = 0.9 * grass.mu * 9.81;
    const speed = Math.sqrt((lateral * 50) / (2 * Math.PI));
    const { series } = (found.ok ? found.value.cycle : {}) as { series: TraceSeries };
    expect(Math.max(...series.speedMps)).toBeLessThanOrEqual(speed + 1e-9);
    expect(series.tS.at(-1)!).toBeGreaterThanOrEqual(50 / speed - 1e-9);
    expect(Math.max(...series.lateralMps2!)).toBeLessThanOrEqual(lateral + 1e-9);
    // thinned, a pack lasts as long as on every point of the lap
    const { series: whole } = lapDriven(circle, (found.ok ? found.value : undefined)!);
    const { sM: _, ...all } = whole!;
    const minutes = [series, all].map(
      (one) => drivePack({ ...(found.ok ? found.value : undefined)!, cycle: { series: one } }).durationS,
    );
    expect(minutes[0]! / minutes[1]!).toBeCloseTo(1, 2);
    const steep = applyPatch(lap, [
      { path: ['brief', 'track'], value: { segments: [{ id: 'a', lengthM: 50, gradePct: 200 }] } },
    ]);
    expect(packOfBuild(steep, grass)).toEqual({ ok: false, missing: ['brief.track.segments:drivable'] });

    expect(packOfBuild(withHeat({ duty: 'track' }), grass)).toEqual({
      ok: false,
      missing: ['drive.heat.trace'],
    });
    const trace = { name: 'orchard.gpx', stepS: 2, speedMps: [1, 5, 3], lateralMps2: [0, 2, 1] };
    expect(cycleOf(withHeat({ duty: 'track', trace }))).toEqual({
      series: { tS: [0, 2, 4], speedMps: [1, 5, 3], lateralMps2: [0, 2, 1] },
    });
  });

  it('says how many laps, what of it the car follows, and where the energy went', () => {
    const track = (asked: number) =>
      withHeat({
        duty: 'track',
        trace: { name: 't', stepS: 50, speedMps: [asked, asked, asked], lateralMps2: [0, 0, 0] },
      });
    const easy = heatOf(track(5), grass);
    const top = easy.ok ? easy.value.topSpeedMps! : NaN;
    expect(easy.ok && easy.value.pass).toMatchObject({ behindShare: 0 });
    const [hard] = [heatOf(track(1.5 * top), grass)];
    // it is given the speed at the start, and sinks to its own
    expect(hard.ok && hard.value.pass!.behindShare).toBeGreaterThan(0.9);
    expect(hard.ok && hard.value.pass!.speedMps.at(-1)! / top).toBeCloseTo(1, 1);
    const { lossesWh, energyWh, meanSpeedMps, durationS } = (easy.ok ? easy.value.pack : undefined)!;
    const sum = Object.values(lossesWh!).reduce((all, one) => all + one, 0);
    // it starts and ends at 5 m/s
    expect(sum / energyWh).toBeCloseTo(1, 3);
    const resistance = 0.6 * 0.03 * 25 + grass.rollingResistance * 1.9 * 9.81;
    expect((lossesWh!.drag + lossesWh!.rolling) / ((resistance * 5 * durationS) / 3600)).toBeCloseTo(1, 2);
    expect(meanSpeedMps).toBeCloseTo(5, 2);

    const round = applyPatch(withHeat({ duty: 'lap' }), [
      {
        path: ['brief', 'track'],
        value: {
          segments: [
            { id: 'a', lengthM: 40 },
            { id: 'b', lengthM: 20, radiusM: 5 },
          ],
        },
      },
    ]);
    const lapped = heatOf(round, grass);
    expect(lapped.ok && lapped.value.laps! * 60).toBeCloseTo(
      lapped.ok ? lapped.value.pack.distanceM : NaN,
      6,
    );
  });

  it('lasts as many laps as the lap itself says of the charge', () => {
    const round = applyPatch(withHeat({ duty: 'lap', windingLimitC: 400 }), [
      {
        path: ['brief', 'track'],
        value: {
          segments: [
            { id: 'a', lengthM: 40 },
            { id: 'b', lengthM: 20, radiusM: 6 },
          ],
          style: 0.5,
        },
      },
    ]);
    const [heat, lap] = [heatOf(round, grass), lapOf(round, grass)];
    // the lap is driven with a full, cold pack throughout
    expect(heat.ok && lap.ok && heat.value.laps! / lap.value.lapsPerPack!).toBeGreaterThan(0.85);
    expect(heat.ok && lap.ok && heat.value.laps! / lap.value.lapsPerPack!).toBeLessThan(1.1);
  });
});
