import { type Fields, fieldsOf } from './fields';

const USUAL_STRETCH = 0.04;
const BEAD_MM = 4;
const LAYERS: readonly unknown[] = ['foam', 'solid rubber', 'printed flexible'];

/** Through the third version a tyre sat by the stretch of its bead or by glue; its own words since the fourth. */
export function holdOfStretch(older: Fields): Fields {
  const drive = fieldsOf(older.drive);
  const hold = fieldsOf(drive?.tyreHold);
  if (!drive || !hold) return older;
  const { by, beadStretch, peelNPerMm, ...rest } = hold;
  const isLayer = LAYERS.includes(fieldsOf(drive.tyre)?.ring);
  const since =
    by === 'bead'
      ? tightBy(rest.rimRadiusMm, beadStretch)
      : by === 'glue'
        ? gluedBy(isLayer, peelNPerMm)
        : {};
  return { ...older, drive: { ...drive, tyreHold: { ...rest, ...since } } };
}

const tightBy = (rimMm: unknown, stretch: unknown = USUAL_STRETCH): Fields => ({
  by: 'friction',
  ...(typeof rimMm === 'number' && typeof stretch === 'number'
    ? { interferenceMm: 2 * rimMm * stretch }
    : {}),
});

const gluedBy = (isLayer: boolean, peel: unknown): Fields =>
  isLayer
    ? { by: 'bonded' }
    : { by: 'beads', ...(typeof peel === 'number' ? { bondShearMpa: peel / BEAD_MM } : {}) };
