import type { BuildDocument } from '../../car/document/document';
import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { liesMark } from '../../worked/print/lies';
import { estimateOfPart } from '../../worked/print/printed';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { costOf } from './cost';

describe('what a change costs', () => {
  const mesh = { hash: 'h', name: 'arm.stl', unitMm: 1, up: [0, 0, 1] as const };
  const arm = {
    id: 'arm',
    name: 'Arm',
    kind: 'arm' as const,
    material: TYPICAL_MATERIALS.nylon,
    shape: { as: 'beam' as const, heightMm: 5, widthMm: 10 },
    mesh: {
      ...mesh,
      lies: {
        of: '',
        volumeMm3: 8000,
        areaMm2: 4000,
        horizontalAreaMm2: 2000,
        sizeMm: [80, 10, 10] as const,
      },
    },
  };
  const printed = { ...arm, mesh: { ...arm.mesh, lies: { ...arm.mesh.lies, of: liesMark(arm.mesh) } } };
  const document: BuildDocument = {
    ...car,
    parts: { items: [printed] },
    print: {
      printers: [
        {
          id: 'p',
          name: 'P',
          bedWidthMm: 200,
          bedDepthMm: 200,
          bedHeightMm: 200,
          speedMmps: 60,
          maxFlowMm3ps: 10,
        },
      ],
      list: [{ id: 'part.arm', quantity: 2 }],
    },
  };

  it('printing each copy, thicker by a fifth a fifth longer', () => {
    const one = estimateOfPart(document, document.parts.items[0]!, 'final');
    if (!one.ok) throw new Error(one.missing.join());
    const cost = costOf(document, [{ path: ['parts', 'items', 'arm', 'shape', 'heightMm'], value: 6 }], 1);
    expect(cost.printS).toBeCloseTo(2 * 1.2 * one.value.timeS, 9);
    expect(cost.money).toBeCloseTo(2 * 1.2 * one.value.cost!, 9);
    expect(cost.benchMinutes).toBe(15);
  });

  it('no printing for a metal part and for what a shop sells; its price where the list knows it', () => {
    const metal = {
      name: 'Metal',
      densityGPerCm3: 2.8,
      modulusMpa: 70_000,
      inPlaneStrengthMpa: 250,
      softeningC: 150,
    };
    expect(costOf(document, [{ path: ['parts', 'items', 'arm', 'material'], value: metal }], 3)).toEqual({
      benchMinutes: 180,
      priceUnknown: true,
    });
    const priced = applyPatch(document, [{ path: ['print', 'list', 'motor', 'price'], value: 30 }]);
    expect(costOf(priced, [{ path: ['drive', 'motor', 'kv'], value: 2000 }], 2)).toEqual({
      benchMinutes: 60,
      money: 30,
    });
  });
});
