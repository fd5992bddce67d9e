export const PART_KINDS = [
  'gear', 'pinion', 'shaft', 'arm', 'knuckle', 'link', 'chassis', 'motorMount', 'hub', 'wheel', 'tyre', 'spring',
  'bearing', 'fastener', 'body', 'motor', 'controller', 'regulator', 'receiver', 'servo', 'battery', 'sensor', 'wiring', 'other',
] as const;
export type PartKind = (typeof PART_KINDS)[number];

/** A part of the build, so that failures can name it. */
export interface Part {
  id: string;
  name: string;
  kind: PartKind;
  /** Of one; on the chassis it is a component of its own. */
  massG?: number;
}

export interface Parts {
  items: Part[];
}

export const emptyParts = (): Parts => ({ items: [] });
