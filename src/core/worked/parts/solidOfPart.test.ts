import type { BuildDocument } from '../../car/document/document';
import type { Part } from '../../car/parts/parts';
import { GRAVITY } from '../../base/constants';
import { femCasesOfPart, shapeMark, solidMark } from './solidOfPart';
import { beamUnderPulls, partStrength } from './partStrength';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { grass, landing, ONE_WHEEL_N, arm, withParts, strength } from '../../fixtures/landingArm';

describe('a solid analysis', () => {
  const meshed: Part = {
    ...arm,
    layers: 'along',
    mesh: {
      hash: 'a'.repeat(64),
      name: 'arm.stl',
      unitMm: 1,
      up: [0, 0, 1],
      held: [{ id: 'h', min: [0, 0, 0], max: [0, 8, 8] }],
      pulls: [{ id: 'p', min: [40, 0, 0], max: [40, 8, 8], from: 'landingOneWheel', direction: [0, 0, 1] }],
    },
  };
  const beam = strength(meshed).worst.margin;
  const solved: Part = {
    ...meshed,
    mesh: {
      ...meshed.mesh!,
      solid: {
        of: solidMark(withParts(meshed), grass, meshed)!,
        shape: shapeMark(meshed),
        beam,
        margin: 0.8 * beam,
        failsBy: 'layers sheared',
        atMm: [1, 2, 3],
        moveMm: 1,
        voxelMm: 1,
        voxels: 1000,
      },
    },
  };

  it('takes the place of the beam while nothing has changed', () => {
    const { worst } = strength(solved);
    expect(worst).toMatchObject({ depth: 'solid', between: true, margin: 0.8 * beam });
    expect(worst.breaksAtN).toBeCloseTo(0.8 * beam * ONE_WHEEL_N, 9);
  });

  it('leaves less of a load that comes again, by how often and by the grooves that it pulls apart', () => {
    const often = (part: Part): Part => ({ ...part, loads: [{ ...part.loads![0]!, times: 1000 }] });
    const again = often(meshed);
    const { worst } = strength({
      ...again,
      mesh: {
        ...again.mesh!,
        solid: {
          ...solved.mesh!.solid!,
          of: solidMark(withParts(again), grass, again)!,
          shape: shapeMark(again),
        },
      },
    });
    expect(worst.depth).toBe('solid');
    // a tenth less for every tenfold, and half of the way to a million for the 1.2 of grooves
    expect(worst.margin).toBeCloseTo((0.8 * beam * 0.7) / Math.sqrt(1.2), 9);
  });

  it('hides no load that it was not solved under, however far that falls', () => {
    // solved under the kerb alone, which it bears eight times; the landing bends the plate of 20 × 8 mm across its layers
    const kerbed: Part = {
      ...arm,
      loads: [
        { id: 'a', from: 'landingOneWheel' },
        { id: 'k', from: 'curbStrike', share: 0.01 },
      ],
      mesh: { ...meshed.mesh!, pulls: [{ ...meshed.mesh!.pulls![0]!, from: 'curbStrike', share: 0.01 }] },
    };
    const under = (dropHeightM: number): BuildDocument => ({
      ...withParts(kerbed),
      brief: { ...landing.brief, dropHeightM },
    });
    const strong: Part = {
      ...kerbed,
      mesh: {
        ...kerbed.mesh!,
        solid: {
          ...solved.mesh!.solid!,
          of: solidMark(withParts(kerbed), grass, kerbed)!,
          shape: shapeMark(kerbed),
          beam: 2,
          margin: 8,
        },
      },
    };
    for (const dropHeightM of [0.2, 0.8]) {
      const found = partStrength(under(dropHeightM), grass, strong);
      if (!found.ok) throw new Error(found.missing.join());
      expect(found.value.worst.load?.id).toBe('a');
      // m·g·(h + s)/s over 20 mm, against S·w·h²/(6·l)
      expect(found.value.worst.margin).toBeCloseTo(
        (27 * 20 * 64) / 6 / 40 / ((1.9 * GRAVITY * (dropHeightM + 0.02)) / 0.02),
        9,
      );
    }
    // the material is another: the solid analysis is stale, and four times the beam under the kerb is not four times under the landing
    const other: Part = { ...strong, material: { ...TYPICAL_MATERIALS.pla } };
    const { mesh: _, ...bare } = other;
    expect(strength(other).loads.find(({ load }) => load?.id === 'a')!.margin).toBeCloseTo(
      strength(bare).loads.find(({ load }) => load?.id === 'a')!.margin,
      9,
    );
  });

  it('is held against the beam under the same loads', () => {
    const both: Part = {
      ...meshed,
      loads: [
        { id: 'a', from: 'landingOneWheel' },
        { id: 'own', from: 'own', forceN: 5000 },
      ],
    };
    const under = (part: Part) => beamUnderPulls(withParts(both), grass, part, 'landingOneWheel');
    expect(under(both)).toBeCloseTo(beam, 9);
    expect(under({ ...both, loads: [both.loads![1]!] })).toBeUndefined();
  });

  describe('of several load cases', () => {
    const [pull] = meshed.mesh!.pulls!;
    const two: Part = {
      ...meshed,
      loads: [
        { id: 'a', from: 'landingOneWheel' },
        { id: 'k', from: 'curbStrike', bends: 'sideways' },
        { id: 'n', from: 'noseCrash', share: 0.001 },
      ],
      mesh: {
        ...meshed.mesh!,
        pulls: [
          pull!,
          { ...pull!, id: 'k1', from: 'curbStrike' },
          { ...pull!, id: 'k2', from: 'curbStrike' },
        ],
      },
    };
    const failure = { failsBy: 'in the layer', atMm: [0, 0, 0], moveMm: 1 } as const;
    const kept: Part = {
      ...two,
      mesh: {
        ...two.mesh!,
        solid: {
          ...failure,
          of: solidMark(withParts(two), grass, two)!,
          shape: shapeMark(two),
          margin: 1.2,
          voxelMm: 1,
          voxels: 9,
          cases: [
            { from: 'landingOneWheel', ...failure, margin: 3, beam: 2 },
            { from: 'curbStrike', ...failure, margin: 1.2, beam: 4 },
          ],
        },
      },
    };

    it('solves each by itself: what comes from one pulls at once, what comes from another does not', () => {
      const cases = femCasesOfPart(withParts(two), grass, two);
      if (!cases.ok) throw new Error(cases.missing.join());
      expect(cases.value.map(({ from, settings }) => [from, settings.loads.length])).toEqual([
        ['landingOneWheel', 1],
        ['curbStrike', 2],
      ]);
      expect(cases.value[0]!.settings.loads[0]!.forceN[2]).toBeCloseTo(ONE_WHEEL_N, 9);
    });

    it('is judged by the weakest of them', () => {
      const found = strength(kept);
      expect(
        found.loads.filter(({ depth }) => depth === 'solid').map(({ from, margin }) => [from, margin]),
      ).toEqual([
        ['landingOneWheel', 3],
        ['curbStrike', 1.2],
      ]);
      expect(found.worst).toMatchObject({ from: 'curbStrike', depth: 'solid', margin: 1.2 });
    });

    it('gone stale, leaves each load its own ratio, never above 1, and one that was not solved the least of them', () => {
      const stale: Part = { ...kept, material: { ...TYPICAL_MATERIALS.pla } };
      const { mesh: _, ...bare } = stale;
      const marginOf = (part: Part, id: string) =>
        strength(part).loads.find(({ load }) => load?.id === id)!.margin;
      expect(marginOf(stale, 'a') / marginOf(bare, 'a')).toBeCloseTo(1, 9);
      expect(marginOf(stale, 'k') / marginOf(bare, 'k')).toBeCloseTo(0.3, 9);
      expect(marginOf(stale, 'n') / marginOf(bare, 'n')).toBeCloseTo(0.3, 9);
    });

    it('goes stale by the height it falls from, by fill and by a load', () => {
      const mark = (document: BuildDocument, part: Part) => solidMark(document, grass, part);
      const document = withParts(two);
      const now = mark(document, two);
      const higher = { ...document, brief: { ...document.brief, dropHeightM: 0.3 } };
      for (const other of [
        mark(higher, two),
        mark(document, { ...two, perimeters: 2, infill: 0.3 }),
        mark(document, { ...two, material: { ...TYPICAL_MATERIALS.pla } }),
        mark(document, { ...two, mesh: { ...two.mesh!, pulls: [pull!] } }),
      ])
        expect(other).not.toBe(now);
      expect(mark(document, { ...two, name: 'Other' })).toBe(now);
    });
  });

  it('asks for dimensions where it leaves a load open', () => {
    const { shape: _, ...noShape }: Part = {
      ...solved,
      loads: [
        { id: 'a', from: 'landingOneWheel' },
        { id: 'n', from: 'noseCrash' },
      ],
    };
    const { of: __, ...kept } = solved.mesh!.solid!;
    const current: Part = {
      ...noShape,
      mesh: { ...noShape.mesh!, solid: { ...kept, of: solidMark(withParts(noShape), grass, noShape)! } },
    };
    expect(partStrength(withParts(current), grass, current)).toEqual({
      ok: false,
      missing: ['parts.items.arm.shape'],
    });
  });

  it('is stale after a change, and leaves what its corners cost as an estimate', () => {
    const weaker: Part = { ...solved, material: { ...TYPICAL_MATERIALS.pla } };
    const { mesh: _, ...bare } = weaker;
    const { worst } = strength(weaker);
    expect(worst.depth).toBe('beam');
    expect(worst.margin).toBeCloseTo(0.8 * strength(bare).worst.margin, 9);
    expect(worst.leftOfBeam).toBeCloseTo(0.8, 9);
  });

  it('says nothing about another mesh', () => {
    const other: Part = { ...solved, mesh: { ...solved.mesh!, hash: 'b'.repeat(64) } };
    expect(strength(other).worst.margin).toBeCloseTo(beam, 9);
    const { shape: _, ...noShape } = other;
    expect(partStrength(withParts(noShape), grass, noShape)).toEqual({
      ok: false,
      missing: ['parts.items.arm.mesh.solid:stale'],
    });
  });
});
