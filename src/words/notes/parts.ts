import type { Sentences } from '../write';

const partName = (name: string | undefined) => name?.toLowerCase() ?? 'the car';

const ASSEMBLY_NOTES: Sentences<'note.assembly'> = {
  'note.assembly.insert': ({ thread, part }) =>
    `Melt the M${thread} insert into ${partName(part)}, square to its face.`,
  'note.assembly.free': ({ joint, part }) =>
    `Break ${joint.toLowerCase()} free in ${partName(part)} and work it until it turns by itself.`,
  'note.assembly.bearing': ({ size, part }) =>
    `Press the bearing ${size.join(' × ')} mm into ${partName(part)}, by its outer ring.`,
  'note.assembly.joint': ({ joint, part, to, size, by }) =>
    `${joint}: ${to ? `${partName(to)} to ${partName(part)}` : partName(part)}, ${by === 'pin' ? 'pin ' : 'M'}${size.join(' × ')} mm${by === 'nutTrap' ? ', lay the nut in first' : by === 'screwInPlastic' ? ', stop when it is snug' : ''}.`,
};

const COUPON_NOTES: Sentences<'note.coupon'> = {
  'note.coupon.oneSize': ({ kind }) => `Every ${kind} has the same size, so the slope is taken as 1.`,
  'note.coupon.outside': ({ kind, size }) =>
    `A ${kind} of ${size} lies outside the sizes that were measured.`,
};

export const PARTS_NOTES = {
  ...ASSEMBLY_NOTES,
  ...COUPON_NOTES,
};
