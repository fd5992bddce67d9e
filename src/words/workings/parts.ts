import { SCREW_TERMS } from '../terms';
import type { WorkingStep } from '../workingStep';
import type { Workings } from '../write';
import { ENDS_HELD, SHIGLEY } from './car';

export const PART_WORKINGS: Workings<'parts'> = {
  'parts.part': (facts, { q, n }) => {
    const own = ((): WorkingStep[] => {
      switch (facts.as) {
        case 'beam':
          return [
            {
              label: 'Moment',
              formula:
                facts.support === 'cantilever'
                  ? `${q(facts.forceN, 'forceN')} · ${q(facts.lengthMm, 'lengthMm')}`
                  : `${q(facts.forceN, 'forceN')} over ${q(facts.lengthMm, 'lengthMm')}, ${ENDS_HELD[facts.support]}`,
              value: facts.momentNm,
              quantity: 'torqueNm',
            },
            {
              label: facts.bending ? 'Bending stress' : 'Shear stress',
              formula: facts.bending ? 'moment over the section modulus' : '1.5 · force over area',
              value: facts.stressMpa,
              quantity: 'stressMpa',
              source: `${SHIGLEY}, ch. 3`,
            },
            ...(facts.root
              ? [
                  {
                    label: 'Raised at its root',
                    formula: `out of a body of ${q(facts.root.rootMm, 'lengthMm')} with a fillet of ${q(facts.root.filletMm, 'lengthMm')}`,
                    value: facts.root.raised,
                    quantity: 'coefficient' as const,
                    source: 'Peterson’s Stress Concentration Factors, ch. 3',
                  },
                ]
              : []),
            {
              label: 'Allowed',
              formula: `${facts.layers ? `layers ${facts.layers} it, ` : ''}${facts.kept === 1 ? 'solid' : `walls, infill and holes keep ${q(facts.kept, 'share')} of a solid section`}${facts.warmShare === undefined ? '' : `, ${q(facts.warmShare, 'share')} left of it in the warmth`}`,
              value: facts.allowableMpa,
              quantity: 'stressMpa',
              source: 'Hankinson',
            },
          ];
        case 'column':
          return [
            {
              label: 'Buckles at',
              formula: `${q(facts.lengthMm, 'lengthMm')} between ${facts.ends} ends, ${facts.formula}`,
              value: facts.bucklingN,
              quantity: 'forceN',
              source: `${SHIGLEY}, ch. 4`,
            },
          ];
        case 'boss':
          return [
            {
              label: 'On each screw',
              formula: `${q(facts.forceN, 'forceN')} over ${facts.screws}`,
              value: facts.forceN / facts.screws,
              quantity: 'forceN',
            },
            {
              label: 'Pulls out at',
              formula: `M${n(facts.screwMm)}, ${q(facts.engagementMm, 'fitMm')} deep, ${SCREW_TERMS[facts.screwKind]}`,
              value: facts.pullOutN,
              quantity: 'forceN',
              source: `${SHIGLEY}, ch. 8; ISO 4032, ISO 7089`,
            },
          ];
        case 'solid':
          return [
            {
              label: 'Solid analysis',
              formula: `${facts.voxels} voxels of ${q(facts.voxelMm, 'lengthMm')}, weakest at ${facts.atMm.map((one) => q(one, 'lengthMm')).join(', ')}`,
              value: facts.margin,
              quantity: 'coefficient',
              source: 'Zienkiewicz and Taylor, The Finite Element Method',
            },
          ];
      }
    })();
    const { corners, tired } = facts;
    return [
      ...own,
      ...(corners
        ? [
            {
              label: 'Corners and holes',
              formula: `margin of the last solid analysis ${n(corners.solidMargin)} over the beam’s ${n(corners.beamMargin)}`,
              value: corners.share,
              quantity: 'coefficient' as const,
            },
          ]
        : []),
      ...(tired
        ? [
            {
              label: 'Left after so often',
              formula: `1 − 0.1 for every tenfold of ${q(tired.times, 'count')}${tired.notch > 1 ? `, over a notch of ${n(tired.notch)}` : ''}; found from ${q(tired.low, 'share')} to ${q(tired.high, 'share')}`,
              value: tired.left,
              quantity: 'share' as const,
              source: 'Mandell et al., Polymer Composites 4 (1983)',
            },
          ]
        : []),
    ];
  },
};
export const PRINT_WORKINGS: Workings<'print' | 'working'> = {
  'print.bed': (printers, { q }) =>
    printers.map(({ name, bedWidthMm, bedDepthMm, bedHeightMm }) => ({
      label: name,
      formula: `bed ${q(bedWidthMm, 'lengthMm')} × ${q(bedDepthMm, 'lengthMm')}, ${q(bedHeightMm, 'lengthMm')} high`,
      source: 'Packing by maximal rectangles, Jylänki 2010',
    })),
  'working.list': ({ lines }, { q }) =>
    lines.map(({ name, count, each, value }) => ({
      label: name,
      formula: each && count !== undefined ? `${count} × ${q(each.value, each.quantity, 4)}` : '',
      value: value.value,
      quantity: value.quantity,
    })),
};
