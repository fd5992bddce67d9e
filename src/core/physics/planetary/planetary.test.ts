import { parse } from '../../base/schema/parse';
import type { PlanetaryInput } from './definition';
import { gearPlanetary } from './planetary';
import { gearPlanetarySchema } from './planetary.schema';

const planetary = (input: object) => gearPlanetary(parse(gearPlanetarySchema, input) as PlanetaryInput);
const refusedAt = (input: object) => {
  try {
    planetary(input);
    return undefined;
  } catch (error) {
    return (error as { refused: { path: string } }).refused.path;
  }
};
const material = { inPlaneStrengthMpa: 50, softeningC: 60 };
const gears = { sun: { material }, planet: { material }, ring: { material } };
const base = {
  sunTeeth: 12,
  planetTeeth: 18,
  ringTeeth: 48,
  planets: 3,
  moduleMm: 1,
  held: 'ring',
  driving: 'sun',
  speedRpm: 1000,
};
/** Both meshes in a row, as they are by default. */
const eta = 0.95 * 0.96;

describe('a planetary set', () => {
  it('turns as Willis says, whoever is held', () => {
    const turned = (held: string, driving: string) => planetary({ ...base, held, driving }).ratio;
    expect(turned('ring', 'sun')).toBeCloseTo(1 + 48 / 12, 12);
    expect(turned('ring', 'carrier')).toBeCloseTo(1 / 5, 12);
    expect(turned('carrier', 'sun')).toBeCloseTo(-4, 12);
    expect(turned('sun', 'ring')).toBeCloseTo(1 + 12 / 48, 12);
    const { speedsRpm, planetRelativeRpm, driven } = planetary(base);
    expect(driven).toBe('carrier');
    expect(speedsRpm).toMatchObject({ sun: 1000, ring: 0, carrier: 200 });
    // where planet and ring meet nothing slides: the planet’s pitch point stands as the ring does
    expect(speedsRpm.carrier * 15 + speedsRpm.planet * 9).toBeCloseTo(0, 9);
    // where planet and sun meet both go alike
    expect(speedsRpm.planet - speedsRpm.carrier).toBe(planetRelativeRpm);
    expect(speedsRpm.carrier * 15 - speedsRpm.planet * 9).toBeCloseTo(1000 * 6, 9);
  });

  it('turns a stepped planet by the product of its steps', () => {
    const stepped = {
      ...base,
      sunTeeth: 12,
      planetTeeth: 24,
      ringPlanetTeeth: 12,
      ringTeeth: 48,
      planets: 3,
    };
    const found = planetary(stepped);
    expect(found.ratio).toBeCloseTo(1 + (48 * 24) / (12 * 12), 12);
    // 12·12 + 48·24 over their divisor 12 = 108 places, three by three
    expect(found).toMatchObject({ assembles: true, centreDistanceMm: 18 });
    expect(refusedAt({ ...stepped, ringTeeth: 50 })).toBe('ringTeeth');
    expect(refusedAt({ ...base, ringModuleMm: 1 })).toBe('ringModuleMm');
    expect(planetary({ ...stepped, ringTeeth: 36, ringModuleMm: 1.5 }).ratio).toBeCloseTo(7, 12);
  });

  it('loses what the power that rolls through its meshes loses', () => {
    const efficiency = (held: string, driving: string) => planetary({ ...base, held, driving }).efficiency;
    // Müller: i = 4 of the held carrier
    expect(efficiency('carrier', 'sun')).toBeCloseTo(eta, 12);
    expect(efficiency('carrier', 'ring')).toBeCloseTo(eta, 12);
    expect(efficiency('ring', 'sun')).toBeCloseTo((1 + 4 * eta) / 5, 12);
    expect(efficiency('ring', 'carrier')).toBeCloseTo(5 / (1 + 4 / eta), 12);
    // a fifth of the power rolls, four fifths go round with the carrier
    expect(efficiency('sun', 'ring')).toBeCloseTo(1 - (1 - eta) / 5, 12);
  });

  it('puts its planets where teeth let them in', () => {
    expect(planetary(base)).toMatchObject({ assembles: true, planetAnglesDeg: [0, 120, 240] });
    const odd = planetary({ ...base, planetTeeth: 19, ringTeeth: 50, ringAddendum: 0.8 });
    // 62 places: 20.67 and 41.33 go to 21 and 41
    expect(odd.assembles).toBe(false);
    expect(odd.planetAnglesDeg.map((angle) => (angle * 62) / 360)).toEqual([0, 21, 41]);
    expect(odd.findings).toMatchObject([{ severity: 'over', about: 'planets' }]);
    // at each of them sun and ring have a tooth where the planet wants one: whole pitches on both
    for (const angle of odd.planetAnglesDeg) {
      const pitches = ((12 + 50) * angle) / 360;
      expect(Math.abs(pitches - Math.round(pitches))).toBeLessThan(1e-9);
    }
    // chord between the centres less the tips
    expect(planetary(base).planetGapMm).toBeCloseTo(2 * 15 * Math.sin(Math.PI / 3) - 20, 9);
    const close = planetary({ ...base, planets: 5 });
    expect(close.planetsClear).toBe(false);
    expect('planetGapMm' in planetary({ ...base, planets: 1 })).toBe(false);
  });

  it('knows the ring’s tip that just reaches the end of the planet’s involute', () => {
    const { ringAddendumLimit, involuteInterference, contactRatios } = planetary(base);
    // at the limit the ring’s tip lies on the line of action as far out as the planet’s base point
    const alpha = (20 * Math.PI) / 180;
    const tip = 24 - ringAddendumLimit;
    expect(Math.sqrt(tip ** 2 - (24 * Math.cos(alpha)) ** 2)).toBeCloseTo(15 * Math.sin(alpha), 9);
    expect(involuteInterference).toBe(ringAddendumLimit < 1);
    expect(planetary({ ...base, ringAddendum: ringAddendumLimit * 1.01 }).findings).toMatchObject([
      { about: 'ringAddendum' },
    ]);
    expect(planetary({ ...base, ringAddendum: ringAddendumLimit * 0.99 }).findings).toEqual([]);
    expect(contactRatios.ring).toBeGreaterThan(contactRatios.sun);
  });

  it('tells tips that collide where ring and planet are nearly alike', () => {
    const near = (ringTeeth: number, ringPlanetTeeth: number) =>
      planetary({
        ...base,
        sunTeeth: 12,
        planetTeeth: 12,
        ringPlanetTeeth,
        ringTeeth,
        ringModuleMm: 24 / (ringTeeth - ringPlanetTeeth),
        planets: 1,
      });
    expect(near(40, 36).tipInterference).toBe(true);
    expect(near(40, 36).findings.map(({ about }) => about)).toContain('ringTeeth');
    expect(near(60, 36).tipInterference).toBe(false);
  });
});

describe('the strength of a planetary set', () => {
  const strength = { torqueNm: 0.6, faceWidthMm: 8, ...gears };

  it('balances its torques, and the forces on a pin', () => {
    const found = planetary({ ...base, strength }).strength!;
    expect(found.torquesNm).toEqual({ sun: 0.6, ring: 2.4, carrier: 3 });
    expect(found.sharingFactor).toBe(1.23);
    // sun and ring push a plain planet alike, and the carrier takes both
    expect(found.sunMeshForceN).toBeCloseTo((1.23 * 0.6) / 3 / 0.006, 9);
    expect(found.ringMeshForceN).toBeCloseTo(found.sunMeshForceN, 9);
    expect(found.pinForceN).toBeCloseTo(2 * found.sunMeshForceN, 9);
    expect((found.pinForceN * 3 * 0.015) / 1.23).toBeCloseTo(3, 9);
    expect(found.outputTorqueNm).toBeCloseTo(0.6 * (1 + 4 * eta), 9);
    // 800 rpm of the sun against the carrier
    expect(found.pitchLineMps).toBeCloseTo((800 / 60) * Math.PI * 0.012, 12);
    expect(found.ringPitchLineMps).toBeCloseTo(found.pitchLineMps, 12);
  });

  it('bends every tooth by Lewis, the planet both ways', () => {
    const found = planetary({ ...base, strength }).strength!;
    const load = (found.sunMeshForceN * 1.5 * (6.1 + found.pitchLineMps)) / 6.1 / 8;
    expect(found.sun.bendingStressMpa).toBeCloseTo(load / 0.245, 9);
    expect(found.planet.bendingStressMpa).toBeCloseTo(load / 0.309, 9);
    expect(found.ring.bendingStressMpa).toBeCloseTo(load / 0.472, 9);
    expect(found.planet.allowableMpa / found.sun.allowableMpa).toBeCloseTo(0.7, 12);
    // 0.309·0.7 = 0.216 under 0.245
    expect(found.weakest).toBe('planet');
    expect(planetary({ ...base, strength: { ...strength, reversalFactor: 1 } }).strength!.weakest).toBe(
      'sun',
    );
    const idle = planetary({ ...base, strength: { ...strength, torqueNm: 0 } }).strength!;
    expect('weakest' in idle).toBe(false);
  });

  it('bends each step of a stepped planet one way only', () => {
    const found = planetary({
      ...base,
      planetTeeth: 24,
      ringPlanetTeeth: 12,
      strength: { ...strength, ringFaceWidthMm: 10 },
    }).strength!;
    // the ring’s force is twice the sun’s on half the radius
    expect(found.ringMeshForceN / found.sunMeshForceN).toBeCloseTo(2, 9);
    expect(found.planet.allowableMpa).toBe(found.sun.allowableMpa);
    expect(found.planet.lewisY).toBeCloseTo(0.245, 9);
  });

  it('hands speed and torque on to a second set, whose sense may be another', () => {
    const next = { ...base, held: 'carrier', driving: 'sun', strength: { faceWidthMm: 8, ...gears } };
    const { speedRpm: _, ...second } = next;
    const found = planetary({ ...base, strength, next: second });
    expect(found.totalRatio).toBeCloseTo(5 * -4, 12);
    expect(found.next!.speedsRpm).toMatchObject({ sun: 200, ring: -50, carrier: 0 });
    expect(found.totalEfficiency).toBeCloseTo(((1 + 4 * eta) / 5) * eta, 12);
    expect(found.next!.strength!.torquesNm.sun).toBeCloseTo(found.strength!.outputTorqueNm, 12);
    // power in times what is left of it comes out
    const inW = (0.6 * 1000 * Math.PI) / 30;
    const outW = (found.next!.strength!.outputTorqueNm * 50 * Math.PI) / 30;
    expect(outW / inW).toBeCloseTo(found.totalEfficiency!, 12);
    expect(refusedAt({ ...base, next: second })).toBe('next.strength');
    expect(refusedAt({ ...base, strength, next: { ...second, held: 'sun' } })).toBe('next.held');
    expect(refusedAt({ ...base, held: 'sun' })).toBe('held');
    const bad = planetary({ ...base, strength, next: { ...second, planets: 5 } });
    expect(bad.findings.map(({ about }) => about)).toContain('next.planets');
  });
});
