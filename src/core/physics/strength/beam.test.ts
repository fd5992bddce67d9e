import { GRAVITY } from '../../base/constants';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { allowableMpa, type StrengthMaterial } from './allowable';
import { beamCheck, type BeamInput } from './beam';
import { bossCheck, type BossInput } from './boss';
import { columnCheck, type ColumnInput } from './column';
import { loadCases, type LoadCasesInput } from './loadCases';
import { beamCheckSchema, bossCheckSchema, columnCheckSchema, loadCasesSchema } from './strength.schema';

const material: StrengthMaterial = {
  modulusMpa: 2000,
  modulusRatio: 0.8,
  inPlaneStrengthMpa: 50,
  interlayerStrengthMpa: 25,
  interlayerShearMpa: 15,
  softeningC: 73,
};
const beam = (input: BeamInput) => beamCheck(parse(beamCheckSchema, input));
const bar: BeamInput = {
  support: 'cantilever',
  lengthMm: 60,
  load: { forceN: 10 },
  section: { shape: 'rectangle', widthMm: 6, heightMm: 10 },
  bendingAbout: 'x',
  material,
  layers: 'along',
};

describe('the allowable by Hankinson', () => {
  it('is the strength between the layers along the build, that of the plane across it, and between them at 45°', () => {
    expect(allowableMpa(material, 0)).toBeCloseTo(25, 12);
    expect(allowableMpa(material, Math.PI / 2)).toBeCloseTo(50, 12);
    expect(allowableMpa(material, Math.PI / 4)).toBeCloseTo((2 * 50 * 25) / 75, 12);
    expect(allowableMpa(material, 0, { fill: 0.25 })).toBeCloseTo(25 / 8, 12);
    // half of the way from 23 to 73 °C
    expect(allowableMpa(material, 0, { temperatureC: 48 })).toBeCloseTo(12.5, 12);
    expect(allowableMpa(material, 0, { temperatureC: 90 })).toBe(0);
    expect(allowableMpa(material, 0, { temperatureC: -20 })).toBe(25);
  });
});

describe('beam.check', () => {
  it('bends, shears and sags a cantilever by hand', () => {
    const found = beam(bar);
    // M = 600 N mm on S = 100 mm³; F·L³/(3·E·I)
    expect(found).toMatchObject({
      momentNmm: 600,
      shearN: 10,
      stressMpa: 6,
      allowableMpa: 50,
      shearStressMpa: 0.25,
      shearAllowableMpa: 15,
      failsBy: 'bending',
      margin: expect.closeTo(50 / 6, 9),
      deflectionMm: expect.closeTo((10 * 60 ** 3) / (3 * 2000 * 500), 9),
    });
    expect(found.otherWay).toMatchObject({ allowableMpa: 25, margin: expect.closeTo(25 / 6, 9) });
    // margin goes with the square of the height
    expect(found.heightForMargin2Mm).toBeCloseTo(10 * Math.sqrt(2 / (50 / 6)), 6);
    const across = beam({ ...bar, layers: 'across' });
    expect(across).toMatchObject({
      allowableMpa: 25,
      // the section is itself a layer, so it too slides between layers
      shearAllowableMpa: 15,
      deflectionMm: expect.closeTo(found.deflectionMm / 0.8, 9),
    });
  });

  it.each([
    ['simple', { forceN: 10 }, 150, 5, (10 * 60 ** 3) / 48],
    [
      'simple',
      { forceN: 10, atMm: 20 },
      (10 * 20 * 40) / 60,
      (10 * 40) / 60,
      (10 * 20 * (60 ** 2 - 20 ** 2) ** 1.5) / (9 * Math.sqrt(3) * 60),
    ],
    ['fixed', { forceN: 10 }, 75, 5, (10 * 60 ** 3) / 192],
    ['simple', { perMmN: 0.5 }, (0.5 * 60 ** 2) / 8, 15, (5 * 0.5 * 60 ** 4) / 384],
    ['fixed', { perMmN: 0.5 }, (0.5 * 60 ** 2) / 12, 15, (0.5 * 60 ** 4) / 384],
    ['cantilever', { perMmN: 0.5 }, (0.5 * 60 ** 2) / 2, 30, (0.5 * 60 ** 4) / 8],
    ['cantilever', { forceN: 10, atMm: 30 }, 300, 10, (10 * 30 ** 2 * (180 - 30)) / 6],
  ] as const)('%s under %j has the table’s moment, shear and sag', (support, load, moment, shear, sag) => {
    const found = beam({ ...bar, support, load });
    expect(found.momentNmm).toBeCloseTo(moment, 9);
    expect(found.shearN).toBeCloseTo(shear, 9);
    expect(found.deflectionMm).toBeCloseTo(sag / (2000 * 500), 9);
  });

  it('sags a built-in beam the same from either end, with the largest moment at the nearer one', () => {
    const [left, right] = [20, 40].map((atMm) =>
      beam({ ...bar, support: 'fixed', load: { forceN: 10, atMm } }),
    );
    expect(left!.deflectionMm).toBeCloseTo(right!.deflectionMm, 12);
    // F·a·b²/L² at the near end
    expect(left!.momentNmm).toBeCloseTo((10 * 20 * 40 ** 2) / 60 ** 2, 9);
  });

  it('scales a box with its walls kept, and refuses a load beyond the beam', () => {
    const boxed = beam({
      ...bar,
      load: { forceN: 200 },
      section: { shape: 'box', widthMm: 12, heightMm: 16, wallMm: 2 },
    });
    const again = beam({
      ...bar,
      load: { forceN: 200 },
      section: { shape: 'box', widthMm: 12, heightMm: boxed.heightForMargin2Mm!, wallMm: 2 },
    });
    expect(again.margin).toBeCloseTo(2, 6);
    expect(refusalOf(() => beam({ ...bar, load: { forceN: 1, atMm: 61 } })).path).toBe('load.atMm');
    expect(refusalOf(() => beam({ ...bar, material: { ...material, softeningC: 20 } })).path).toBe(
      'material.softeningC',
    );
  });

  it('tells no margin and no height without a load, nor of a material that is soft', () => {
    const idle = beam({ ...bar, load: { forceN: 0 } });
    const soft = beam({ ...bar, temperatureC: 80 });
    for (const found of [idle, soft]) {
      expect(found).not.toHaveProperty('margin');
      expect(found).not.toHaveProperty('heightForMargin2Mm');
      expect(found.otherWay).not.toHaveProperty('margin');
    }
    expect(idle).toMatchObject({ stressMpa: 0, allowableMpa: 50 });
    expect(soft.allowableMpa).toBe(0);
  });
});

describe('column.check', () => {
  const column = (input: ColumnInput) => columnCheck(parse(columnCheckSchema, input));
  const strut: ColumnInput = {
    lengthMm: 200,
    section: { shape: 'round', diameterMm: 6 },
    material,
    ends: 'pinned',
    layers: 'along',
    forceN: 10,
  };
  it('is Euler’s for a slender strut, a quarter of it with a free end', () => {
    const i = (Math.PI * 6 ** 4) / 64;
    const slender = column(strut);
    expect(slender).toMatchObject({
      mode: 'Euler',
      bucklingN: expect.closeTo((Math.PI ** 2 * 2000 * i) / 200 ** 2, 9),
    });
    expect(slender.margin).toBeCloseTo(slender.bucklingN / 10, 12);
    expect(column({ ...strut, ends: 'fixed-free' }).bucklingN).toBeCloseTo(slender.bucklingN / 4, 9);
  });

  it('goes over to Johnson without a step, and to plain crushing when it is short', () => {
    const area = (Math.PI * 36) / 4;
    const transition = Math.sqrt((2 * Math.PI ** 2 * 2000) / 50) * 1.5;
    const [under, past] = [0.9999, 1.0001].map((share) => column({ ...strut, lengthMm: share * transition }));
    expect([under!.mode, past!.mode]).toEqual(['Johnson', 'Euler']);
    expect(under!.bucklingN / past!.bucklingN).toBeCloseTo(1, 3);
    expect(under!.bucklingN).toBeCloseTo((area * 50) / 2, 0);
    expect(column({ ...strut, lengthMm: 0.1 }).bucklingN).toBeCloseTo(50 * area, 1);
  });
});

describe('boss.check', () => {
  const boss = (input: BossInput) => bossCheck(parse(bossCheckSchema, input));
  const m3: BossInput = {
    screwMm: 3,
    engagementMm: 8,
    wallMm: 2.4,
    material,
    layers: 'acrossAxis',
    forceN: 100,
  };
  it('holds a screw four ways, by hand', () => {
    const { kinds, best } = boss(m3);
    expect(kinds.screwInPlastic!.pullOutN).toBeCloseTo(15 * Math.PI * 3 * 8, 9);
    expect(kinds.heatSetInsert!.pullOutN).toBeCloseTo(1.5 * kinds.screwInPlastic!.pullOutN, 9);
    // M3 nut 5.5 mm across flats: bearing or shear of the wall
    const hole = (Math.PI / 4) * 9;
    expect(kinds.nutTrap!.pullOutN).toBeCloseTo(
      Math.min(((Math.sqrt(3) / 2) * 5.5 ** 2 - hole) * 50, 2 * Math.sqrt(3) * 5.5 * 2.4 * 15),
      9,
    );
    expect(kinds.throughBolt!.pullOutN).toBeCloseTo(((Math.PI / 4) * 49 - hole) * 50, 9);
    expect(best).toBe(
      'heatSetInsert' in kinds && kinds.throughBolt!.pullOutN > kinds.heatSetInsert!.pullOutN
        ? 'throughBolt'
        : 'heatSetInsert',
    );
    expect(boss({ ...m3, layers: 'alongAxis' }).kinds.screwInPlastic!.pullOutN).toBeCloseTo(
      (50 / Math.sqrt(3)) * Math.PI * 24,
      9,
    );
  });

  it('leaves out what no standard knows, and says so', () => {
    const odd = boss({ ...m3, screwMm: 3.2 });
    expect(Object.keys(odd.kinds)).toEqual(['screwInPlastic', 'heatSetInsert']);
    expect(odd.notes).toHaveLength(2);
    expect(boss({ ...m3, screwMm: 3.2, nutAcrossFlatsMm: 6 }).kinds.nutTrap).toBeDefined();
  });
});

describe('load.cases', () => {
  const cases = (input: LoadCasesInput) => loadCases(parse(loadCasesSchema, input));
  const car: LoadCasesInput = {
    massKg: 2,
    wheelLoadsN: { fl: 5, fr: 5, rl: 4.81, rr: 4.81 },
    cgHeightMm: 60,
    wheelbaseMm: 280,
    trackMm: 200,
    mu: 0.8,
  };
  it('corners and brakes at the tyres’ limit', () => {
    const { cases: found, notes } = cases(car);
    expect(found.corneringVerticalFront!.forceN).toBeCloseTo(10 * (0.5 + 0.24), 9);
    expect(found.corneringLateralFront!.forceN).toBeCloseTo(0.8 * 7.4, 9);
    const shift = (2 * GRAVITY * 0.8 * 60) / 280;
    expect(found.brakingFront!.forceN).toBeCloseTo(0.8 * (10 + shift), 9);
    expect(found.brakingFront!.forceN! + found.brakingRear!.forceN!).toBeCloseTo(0.8 * 19.62, 9);
    expect(notes).toEqual([]);
    // on two wheels the outer one carries it all
    expect(cases({ ...car, cgHeightMm: 300 }).cases.corneringVerticalRear!.forceN).toBeCloseTo(9.62, 9);
  });

  it('stops a fall by energy, twice the mean force', () => {
    const { landingFourWheels, landingOneWheel } = cases({
      ...car,
      dropHeightM: 0.3,
      suspensionStopMm: 20,
    }).cases;
    // half of the peak over the way is the energy
    expect((landingFourWheels!.forceN! / 2) * 0.02).toBeCloseTo(2 * GRAVITY * 0.32, 9);
    expect(landingOneWheel!.forceN).toBeCloseTo(landingFourWheels!.forceN! / 2, 9);
  });

  it('crashes, meets kerbs, stalls and drives off', () => {
    const found = cases({
      ...car,
      crashSpeedMps: 5,
      crushMm: 25,
      curbSpeedMps: 2,
      curbStopMm: 10,
      servoStallNm: 1.2,
      servoArmMm: 12,
      motorStallNm: 0.5,
      ratio: 9,
      efficiency: 0.9,
      tyreRadiusMm: 40,
      drivenAxles: 'all',
    }).cases;
    expect(found.noseCrash!.forceN).toBeCloseTo((2 * 25) / 0.025, 9);
    expect(cases({ ...car, crashSpeedMps: 5, bumperNPerMm: 8 }).cases.noseCrash!.forceN).toBeCloseTo(
      5 * Math.sqrt(8000 * 2),
      9,
    );
    expect(found.curbStrike!.forceN).toBeCloseTo((1 * 4) / 0.01, 9);
    expect(found.tieRod!.forceN).toBeCloseTo(100, 9);
    // 4.05 Nm at the axle against 0.8·10 N·40 mm
    expect(found.driveshaft!.torqueNm).toBeCloseTo(0.32, 9);
    expect(found.driveshaft!.how).toEqual({ code: 'load.shafts', facts: { by: 'tyres' } });
  });

  it.each(['dropHeightM', 'suspensionStopMm', 'crashSpeedMps', 'crushMm', 'curbSpeedMps', 'curbStopMm'])(
    'refuses no %s at all',
    (key) =>
      expect(() => parse(loadCasesSchema, { ...car, [key]: 0 })).toThrow(
        expect.objectContaining({ path: key }),
      ),
  );

  it('leaves half-given cases out, and says where loads and mass disagree', () => {
    expect(
      Object.keys(cases({ ...car, dropHeightM: 0.3, crashSpeedMps: 3, servoStallNm: 1 }).cases),
    ).toHaveLength(6);
    expect(cases({ ...car, massKg: 3 }).notes[0]!.code).toBe('load.mismatch');
    expect(refusalOf(() => cases({ ...car, crushMm: 5, bumperNPerMm: 3 })).path).toBe('crushMm');
  });
});
