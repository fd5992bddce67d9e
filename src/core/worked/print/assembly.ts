import type { BuildDocument } from '../../car/document/document';
import type { Joint } from '../../car/document/print';
import { plain } from '../../base/units/plain';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.assembly.insert': { thread: string; part?: string | undefined };
    'note.assembly.free': { joint: string; part?: string | undefined };
    'note.assembly.bearing': { size: readonly string[]; part?: string | undefined };
    'note.assembly.joint': {
      joint: string;
      part?: string | undefined;
      to?: string | undefined;
      size: readonly string[];
      by: 'pin' | NonNullable<Joint['hold']>;
    };
  }
}

/** Screws, nuts, inserts, bearings and pins of one size, counted over all joints. */
export interface Hardware {
  key: string;
  called: string;
  count: number;
}

export interface AssemblyStep {
  id: string;
  /** Parts that it is about. */
  parts: string[];
  /** What is done, with what. */
  says: Finding;
  /** Number of times. */
  count: number;
}

const size = (value: number | undefined, unit = '') =>
  value === undefined ? '?' : `${plain(value, 4)}${unit}`;

/** What one joint is made of. */
function hardwareOf({ kind, hold = 'throughBolt', diameterMm, lengthMm, outerMm, widthMm }: Joint): string[] {
  if (kind === 'bearing') return [`Bearing ${size(diameterMm)} × ${size(outerMm)} × ${size(widthMm, ' mm')}`];
  if (kind === 'pin') return [`Pin ${size(diameterMm)} × ${size(lengthMm, ' mm')}`];
  if (kind === 'captive') return [];
  const screw = `Screw ${hold === 'screwInPlastic' ? 'for plastic ' : ''}${hold === 'screwInPlastic' ? size(diameterMm) : `M${size(diameterMm)}`} × ${size(lengthMm, ' mm')}`;
  if (hold === 'heatSetInsert') return [screw, `Insert M${size(diameterMm)}`];
  return hold === 'screwInPlastic' ? [screw] : [screw, `Nut M${size(diameterMm)}`];
}

/** All hardware of the car, by its name. */
export function hardwareCount({ print }: Pick<BuildDocument, 'print'>): Hardware[] {
  const counted = new Map<string, number>();
  for (const joint of print.joints ?? [])
    for (const called of hardwareOf(joint))
      counted.set(called, (counted.get(called) ?? 0) + (joint.count ?? 1));
  return [...counted]
    .map(([called, count]) => ({ key: keyOf(called), called, count }))
    .sort((a, b) => (a.called < b.called ? -1 : 1));
}

const keyOf = (called: string) =>
  called
    .toLowerCase()
    .replace(/[^a-z0-9.]+/g, '-')
    .replace(/^-|-$/g, '');

/** Parts whose strength counts on screws that no joint of the list holds. */
export function screwsWithoutJoint({ parts, print }: Pick<BuildDocument, 'parts' | 'print'>): string[] {
  const held = new Set(
    (print.joints ?? []).filter(({ kind }) => kind === 'screw').flatMap(({ part, to }) => [part, to]),
  );
  return parts.items.filter(({ id, shape }) => shape?.as === 'boss' && !held.has(id)).map(({ name }) => name);
}

/**
 * The order to build in: inserts while a part is alone, bearings next, then each joint from the outermost part inwards, so that
 * an assembly is whole before it meets the chassis. How far out a part is counts in joints from the chassis (breadth first).
 *
 * @see Cormen et al., Introduction to Algorithms, ch. 22 (breadth-first search)
 */
export function assemblyOrder({ parts, print }: Pick<BuildDocument, 'parts' | 'print'>): AssemblyStep[] {
  const joints = print.joints ?? [];
  const depth = depthsFrom(parts.items.find(({ kind }) => kind === 'chassis')?.id, joints);
  const nameOf = (id: string | undefined) => parts.items.find((part) => part.id === id)?.name;
  const far = (id: string | undefined) => (id === undefined ? 0 : (depth.get(id) ?? Infinity));
  const outer = ({ part, to }: Joint) => Math.max(far(part), far(to));
  const inwards = (a: Joint, b: Joint) => outer(b) - outer(a) || 0;
  const inserts = joints
    .filter(({ kind, hold }) => kind === 'screw' && hold === 'heatSetInsert')
    .map((joint): AssemblyStep => ({
      id: `${joint.id}.insert`,
      parts: partsOf({ part: joint.part }),
      count: joint.count ?? 1,
      says: finding('note.assembly.insert', { thread: size(joint.diameterMm), part: nameOf(joint.part) }),
    }));
  const captive = joints
    .filter(({ kind }) => kind === 'captive')
    .map((joint): AssemblyStep => ({
      id: joint.id,
      parts: partsOf(joint),
      count: joint.count ?? 1,
      says: finding('note.assembly.free', { joint: joint.name, part: nameOf(joint.part) }),
    }));
  const bearings = joints
    .filter(({ kind }) => kind === 'bearing')
    .map((joint): AssemblyStep => ({
      id: joint.id,
      parts: partsOf(joint),
      count: joint.count ?? 1,
      says: finding('note.assembly.bearing', {
        size: [size(joint.diameterMm), size(joint.outerMm), size(joint.widthMm)],
        part: nameOf(joint.part),
      }),
    }));
  const rest = joints
    .filter(({ kind }) => kind === 'screw' || kind === 'pin')
    .sort((a, b) => sign(inwards(a, b)))
    .map((joint): AssemblyStep => ({
      id: joint.id,
      parts: partsOf(joint),
      count: joint.count ?? 1,
      says: finding('note.assembly.joint', {
        joint: joint.name,
        part: nameOf(joint.part),
        ...(joint.to ? { to: nameOf(joint.to) } : {}),
        size: [size(joint.diameterMm), size(joint.lengthMm)],
        by: joint.kind === 'pin' ? 'pin' : (joint.hold ?? 'throughBolt'),
      }),
    }));
  return [...inserts, ...captive, ...bearings, ...rest];
}

const partsOf = ({ part, to }: Pick<Joint, 'part' | 'to'>): string[] =>
  [part, to].filter((id) => id !== undefined);

/** Two parts that hang on nothing are as far out as each other. */
const sign = (difference: number) => (Number.isNaN(difference) ? 0 : Math.sign(difference));

function depthsFrom(root: string | undefined, joints: readonly Joint[]): Map<string, number> {
  const depth = new Map<string, number>(root === undefined ? [] : [[root, 0]]);
  let edge = [...depth.keys()];
  while (edge.length > 0) {
    const next: string[] = [];
    for (const id of edge)
      for (const { part, to } of joints) {
        const other = part === id ? to : to === id ? part : undefined;
        if (other !== undefined && !depth.has(other)) {
          depth.set(other, depth.get(id)! + 1);
          next.push(other);
        }
      }
    edge = next;
  }
  return depth;
}
