import { caseCooling, fanMps, finsOf, mostFins, usualFins } from './caseCooling';
import { CONTROLLER_COOLINGS, controllerSides, controllerThermal } from './controllerCooling';
import { ControllerNode } from './controllerNode';
import { coolingPerMps, windSpread } from './airflow';
import { alongPlate, betweenPlates, finEfficiency, finnedWPerK, together } from './fins';

const MOTOR = { diameterMm: 36, lengthMm: 50 };
const BARE_KPW = 10.8;

describe('fins', () => {
  it('give the convection of the textbook between plates, along a plate, and of both together', () => {
    // far apart, two plates are two single ones: Nu = 0.59·Ra^¼ with the length, within a tenth
    const rayleigh = (9.81 * 40 * 0.05 ** 3) / (303 * 16e-6 * 22.9e-6);
    expect(betweenPlates(0.05, 0.05) / ((0.59 * rayleigh ** 0.25 * 0.0265) / 0.05)).toBeGreaterThan(0.9);
    expect(betweenPlates(0.05, 0.05) / ((0.59 * rayleigh ** 0.25 * 0.0265) / 0.05)).toBeLessThan(1.1);
    // close together the air between is as warm as they are: Ra·S/L over 24 is the Nusselt number
    const narrow = (9.81 * 40 * 0.001 ** 4) / (303 * 16e-6 * 22.9e-6 * 0.05);
    expect(betweenPlates(0.001, 0.05)).toBeCloseTo(((narrow / 24) * 0.0265) / 0.001, 3);
    // 2 m/s along 40 mm: Re 5000, Nu 0.664·√5000·0.707^⅓ = 41.8
    expect(alongPlate(0.04, 2)).toBeCloseTo((41.8 * 0.0265) / 0.04, 1);
    expect(together(10, 20)).toBeCloseTo(9000 ** (1 / 3), 9);
  });

  it('count less of a fin the longer and the thinner it is', () => {
    const fins = { count: 1, lengthM: 0.04, heightM: 0.01, thicknessM: 0.001, gapM: 0.004 };
    // m = √(2·50/(200·0.001)) = 22.36; tanh(0.2236)/0.2236
    expect(finEfficiency(fins, 50)).toBeCloseTo(0.9838, 3);
    expect(finEfficiency({ ...fins, heightM: 0.1 }, 50)).toBeCloseTo(Math.tanh(2.236) / 2.236, 3);
  });

  it('add up: two fins in still air by hand', () => {
    const fins = { count: 2, lengthM: 0.04, heightM: 0.01, thicknessM: 0.001, gapM: 0.004 };
    // 392.4·64e-9/(303·3.664e-10) = 226.2; times a tenth; (576/22.62² + 2.87/√22.62)^−½ = 0.760
    const h = (0.76 * 0.0265) / 0.004;
    // four faces and the ground by convection; the outline 26 mm round by 4·0.8·σ·323³ = 6.11
    const expected = h * (4 * 0.0004 + 0.004 * 0.04) + 6.11 * (0.002 + 0.004 + 0.02) * 0.04;
    expect(finnedWPerK(fins, 0)).toBeCloseTo(expected, 3);
  });
});

describe('a motor with a sink and a fan', () => {
  it('is the bare motor without either', () => {
    expect(caseCooling(MOTOR, BARE_KPW, 'open', {})).toEqual({
      caseToAmbientKPerW: BARE_KPW,
      coolingPerMps: coolingPerMps(36, 'open'),
      addedJPerK: 0,
    });
  });

  it('loses more the higher the fins are, by a sink in series with its seat beside what stays bare', () => {
    const at = (finHeightMm: number) =>
      caseCooling(MOTOR, BARE_KPW, 'open', { sink: { finHeightMm } }).caseToAmbientKPerW;
    expect(at(5)).toBeGreaterThan(at(10));
    expect(at(10)).toBeGreaterThan(at(20));
    // π·36·¾ = 84.8 mm round: (84.8 + 4)/5.2 = 17 fins, 40 mm long; on 3393 of 7691 mm² of the case
    expect(usualFins(MOTOR)).toBe(17);
    const sink = 1 / (2.75e-4 / 0.003393 + 1 / finnedWPerK(finsOf(MOTOR, { finHeightMm: 10 }), 0));
    expect(1 / at(10)).toBeCloseTo((1 - 3393 / 7691) / BARE_KPW + sink, 4);
    // 17·10·1.2·40 mm³ and 3393·1.5 mm³ of aluminium
    expect(caseCooling(MOTOR, BARE_KPW, 'open', { sink: { finHeightMm: 10 } }).addedJPerK).toBeCloseTo(
      (8160 + 5089) * 2.43e-3,
      1,
    );
  });

  it('takes no more fins than go round it', () => {
    expect(finsOf(MOTOR, { finHeightMm: 10, fins: 500 }).count).toBe(mostFins(MOTOR));
    expect(finsOf(MOTOR, { finHeightMm: 10, fins: 500 }).gapM).toBeGreaterThanOrEqual(0.0005 - 1e-12);
  });

  it('is blown on: half the flow over the fan’s opening, or through the gaps, and never adds its wind twice', () => {
    // 10 m³/h through 30 mm: 2.78e-3/7.07e-4 m/s, half of it
    expect(fanMps({ flowM3PerH: 10 })).toBeCloseTo(1.965, 3);
    const fins = finsOf(MOTOR, { finHeightMm: 10 });
    const gaps = (fins.count - 1) * fins.gapM * 0.01;
    expect(fanMps({ flowM3PerH: 10, blows: 'throughSink' }, fins)).toBeCloseTo(10 / 7200 / gaps, 9);
    const fan = { flowM3PerH: 10 };
    const [bare, blown] = [{}, { fan }].map((cooled) => caseCooling(MOTOR, BARE_KPW, 'open', cooled));
    expect(blown!.caseToAmbientKPerW).toBeLessThan(0.7 * bare!.caseToAmbientKPerW);
    const wPerK = (one: typeof bare, mps: number) => (1 + one!.coolingPerMps * mps) / one!.caseToAmbientKPerW;
    expect(wPerK(blown, 5)).toBeGreaterThan(wPerK(bare, 5));
    expect(wPerK(blown, 5) - wPerK(bare, 5)).toBeLessThan(wPerK(blown, 0) - wPerK(bare, 0));
    const ducted = caseCooling(MOTOR, BARE_KPW, 'duct', {});
    expect(ducted.coolingPerMps).toBeCloseTo(2 * bare!.coolingPerMps, 9);
  });
});

describe('the wind at a motor', () => {
  it('is not known by a quarter of its range, in what it takes away', () => {
    // 0.3 of the speed, 0.15 to 0.5; at 5 m/s it takes half of all away where it doubles the rest
    expect(windSpread('open', 0.2)).toBeCloseTo((0.5 * 0.35) / 4 / 0.3, 9);
    expect(windSpread('open', 0)).toBe(0);
  });
});

describe('a controller', () => {
  it('is cooled better by each step, and has the sides of its mass', () => {
    const at = CONTROLLER_COOLINGS.map((cooling) => controllerThermal({ massG: 55, cooling }, 'open'));
    expect(at[1]!.toAmbientKPerW).toBeLessThan(at[0]!.toAmbientKPerW);
    expect(at[2]!.toAmbientKPerW).toBeLessThan(0.6 * at[1]!.toAmbientKPerW);
    const { lengthMm, widthMm, heightMm } = controllerSides({ massG: 55 });
    expect((lengthMm * widthMm * heightMm * 1.9) / 1000).toBeCloseTo(55, 6);
    // 38 by 32 by 24 bare: sides and top, 12 W/m²K
    const box = { massG: 55, lengthMm: 38, widthMm: 32, heightMm: 24, cooling: 'bare' as const };
    expect(controllerThermal(box, 'open').toAmbientKPerW).toBeCloseTo(
      1 / (12 * 1e-6 * (38 * 32 + 2 * 24 * 70)),
      6,
    );
    expect(controllerThermal(box, 'duct').coolingPerMps).toBeGreaterThan(
      controllerThermal(box, 'open').coolingPerMps,
    );
  });

  it('warms to loss times resistance with its time constant, and jumps as it would go', () => {
    const thermal = { heatCapacityJPerK: 44, toAmbientKPerW: 5, coolingPerMps: 0 };
    const node = new ControllerNode(thermal, 25, 0.5);
    node.warm(20, 0, 220);
    // 10 W of one of two, 5 K/W; one time constant of 44·5 s
    expect(node.temperatureC).toBeCloseTo(25 + 50 * (1 - Math.exp(-1)), 9);
    const [driven, jumped] = [0, 1].map(() => new ControllerNode(thermal, 25, 1));
    const pass = (one: ControllerNode) => {
      one.mark();
      one.warm(18, 4, 6);
      one.warm(0, 0, 4);
    };
    for (let k = 0; k < 12; k++) pass(driven!);
    pass(jumped!);
    const foreseen = jumped!.peakAfter(11);
    jumped!.repeat(11);
    expect(jumped!.temperatureC).toBeCloseTo(driven!.temperatureC, 9);
    expect(jumped!.peakC).toBeCloseTo(driven!.peakC, 0);
    expect(foreseen).toBe(jumped!.peakC);
  });
});
