import { parse } from '../../base/schema/parse';
import { beltDrive } from './belt';
import { beltDriveSchema } from './belt.schema';
import type { BeltInput } from './beltDefinition';

const belt = (input: object) => beltDrive(parse(beltDriveSchema, input) as BeltInput);
const refusedAt = (input: object) => {
  try {
    belt(input);
    return undefined;
  } catch (error) {
    return (error as { refused: { path: string } }).refused.path;
  }
};
const base = { pitchMm: 3, smallTeeth: 16, largeTeeth: 48, beltTeeth: 90, widthMm: 6 };
const load = { torqueNm: 0.4, speedRpm: 8000 };

describe('a toothed belt on two pulleys', () => {
  it('is as long as its arcs and spans, worked out the other way round', () => {
    const { centreDistanceMm, wrapSmallDeg, spanMm, pitchDiametersMm, beltLengthMm } = belt(base);
    const [small, large] = pitchDiametersMm;
    expect(small).toBeCloseTo(48 / Math.PI, 12);
    const arc = (wrap: number, diameter: number) => (wrap / 360) * Math.PI * diameter;
    expect(2 * spanMm + arc(wrapSmallDeg, small) + arc(360 - wrapSmallDeg, large)).toBeCloseTo(
      beltLengthMm,
      9,
    );
    expect(spanMm).toBeCloseTo(Math.sqrt(centreDistanceMm ** 2 - ((large - small) / 2) ** 2), 9);
    // equal pulleys: half of what is left of the turn
    expect(belt({ ...base, largeTeeth: 16, beltTeeth: 60 }).centreDistanceMm).toBeCloseTo((180 - 48) / 2, 9);
  });

  it('takes the belt nearest in teeth to the wished centres, of the list or of all', () => {
    const wished = belt(base).centreDistanceMm;
    const exact = belt({ ...base, beltTeeth: undefined, centreDistanceMm: wished });
    expect(exact.beltTeeth).toBe(90);
    expect(exact.exactBeltTeeth).toBeCloseTo(90, 9);
    expect(exact.centreErrorMm).toBeCloseTo(0, 9);
    const listed = belt({
      ...base,
      beltTeeth: undefined,
      centreDistanceMm: wished,
      availableBeltTeeth: [80, 86, 95],
    });
    expect(listed.beltTeeth).toBe(86);
    expect(listed.travelPerToothMm).toBeCloseTo(
      belt({ ...base, beltTeeth: 87 }).centreDistanceMm - listed.centreDistanceMm,
      9,
    );
    const { choices, fitsSlot } = belt({ ...base, slotMinMm: wished - 5, slotMaxMm: wished + 5 });
    expect(fitsSlot).toBe(true);
    for (const { beltTeeth, centreDistanceMm } of choices!) {
      expect(belt({ ...base, beltTeeth }).centreDistanceMm).toBeCloseTo(centreDistanceMm, 9);
      expect(Math.abs(centreDistanceMm - wished)).toBeLessThanOrEqual(5 + 1e-9);
    }
    // the next belts either way lie outside
    const ends = [choices![0]!.beltTeeth - 1, choices!.at(-1)!.beltTeeth + 1];
    for (const beltTeeth of ends)
      expect(Math.abs(belt({ ...base, beltTeeth }).centreDistanceMm - wished)).toBeGreaterThan(5);
  });

  it('wraps the small pulley less, counts whole teeth in mesh, and hunts where nothing divides', () => {
    const found = belt(base);
    expect(found.wrapSmallDeg + found.wrapLargeDeg).toBeCloseTo(360, 9);
    expect(found.teethInMesh).toBe(Math.floor((16 * found.wrapSmallDeg) / 360));
    expect(found.meshFactor).toBe(found.teethInMesh >= 6 ? 1 : 1 - 0.2 * (6 - found.teethInMesh));
    expect(found.hunting).toBe(false);
    expect(belt({ ...base, beltTeeth: 91 }).hunting).toBe(true);
  });

  it('pulls, and bears, by hand', () => {
    const found = belt({ ...base, load });
    const pull = (2 * 400) / (48 / Math.PI);
    expect(found.peripheralForceN).toBeCloseTo(pull, 9);
    const speed = (0.048 * 8000) / 60;
    expect(found.beltMps).toBeCloseTo(speed, 9);
    // 2.4 g a metre and millimetre, 6 mm
    const mass = 0.0144 * speed ** 2;
    expect(found.massTensionN).toBeCloseTo(mass, 9);
    const k = found.meshFactor;
    expect(found.pretensionNeededN).toBeCloseTo((0.5 * 1.5 * pull) / k + mass, 9);
    expect(found.toothLimitN).toBeCloseTo(k * 66 - mass, 9);
    expect(found.toothMargin).toBeCloseTo((k * 66 - mass) / (1.5 * pull), 9);
    expect(found.torqueCapacityNm).toBeCloseTo((found.toothLimitN! / 1.5) * (24 / Math.PI / 1000), 9);
    expect(found.skipLimitN).toBeUndefined();
    expect(found.tightN! - found.slackN!).toBeCloseTo(1.5 * pull, 9);
    // in a straight line the shaft would carry both spans
    const tighter = belt({ ...base, load, pretensionN: 80 });
    const spans = tighter.tightN! + tighter.slackN! - 2 * mass;
    expect(tighter.slackN).toBeCloseTo(80 - 0.75 * pull, 9);
    expect(tighter.shaftLoadRunningN).toBeLessThan(spans);
    expect(tighter.shaftLoadRunningN).toBeGreaterThan(0.95 * spans);
  });

  it('is set by ear: the frequency of a span gives its tension back', () => {
    const set = belt({ ...base, load, pretensionN: 20, stiffnessN: 5000 });
    expect(set.skipLimitN).toBeCloseTo((20 - set.massTensionN!) * set.meshFactor * 2, 9);
    const heard = belt({ ...base, measuredHz: set.spanFrequencyHz! });
    expect(heard.measuredTensionN).toBeCloseTo(20, 9);
    expect(set.shaftLoadRestN).toBeCloseTo((40 * set.spanMm) / set.centreDistanceMm, 9);
    // both spans and both arcs stretch; the centres go apart by half of it
    expect(set.tensionTravelMm).toBeCloseTo(((20 / 5000) * 270 * set.centreDistanceMm) / (2 * set.spanMm), 9);
    expect(belt(base).notes.map(({ code }) => code)).toEqual(['note.belt.unloaded']);
  });

  it('shears and bends the tooth of a printed pulley', () => {
    const pulley = { material: { inPlaneStrengthMpa: 40, softeningC: 60 } };
    const { pulley: found, peripheralForceN, teethInMesh } = belt({ ...base, load, pulley });
    const force = ((1.5 * peripheralForceN!) / teethInMesh) * 1.5;
    expect(found!.toothForceN).toBeCloseTo(force, 9);
    // 1.2 mm high and wide at its root, loaded at half its height
    expect(found!.bendingStressMpa).toBeCloseTo((6 * force * 0.6) / (6 * 1.44), 9);
    expect(found!.shearStressMpa).toBeCloseTo((1.5 * force) / (6 * 1.2), 9);
    const together = Math.sqrt(found!.bendingStressMpa ** 2 + 3 * found!.shearStressMpa ** 2);
    expect(found!.margin).toBeCloseTo(40 / together, 9);
    expect(refusedAt({ ...base, pulley })).toBe('load');
  });

  it('refuses at the field what cannot be', () => {
    expect(refusedAt({ ...base, smallTeeth: 49 })).toBe('smallTeeth');
    expect(refusedAt({ ...base, beltTeeth: undefined })).toBe('beltTeeth');
    expect(refusedAt({ ...base, centreDistanceMm: 80 })).toBe('beltTeeth');
    expect(refusedAt({ ...base, beltTeeth: 54 })).toBe('beltTeeth');
    expect(refusedAt({ ...base, beltTeeth: undefined, centreDistanceMm: 20 })).toBe('centreDistanceMm');
    const wished = { ...base, beltTeeth: undefined, centreDistanceMm: 70 };
    expect(refusedAt({ ...wished, availableBeltTeeth: [40, 50] })).toBe('availableBeltTeeth');
    expect(refusedAt({ ...wished, availableBeltTeeth: [90, 90] })).toBe('availableBeltTeeth.1');
    const odd = { ...base, pitchMm: 4, beltTeeth: 100 };
    expect(belt(odd).notes.map(({ code }) => code)).toContain('note.belt.noOffset');
    expect(refusedAt({ ...odd, load })).toBe('tensionLimitN');
    expect(refusedAt({ ...odd, load, tensionLimitN: 60 })).toBe('massGPerM');
    expect(refusedAt({ ...base, slotMinMm: 60 })).toBe('slotMaxMm');
  });
});
