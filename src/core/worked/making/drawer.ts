import type { BuildDocument } from '../../car/document/document';
import type { LibraryItem } from '../../car/library/kinds';
import type { Part } from '../../car/parts/parts';
import { MADE_RECORDS, type MadeCount, type MadeDim, type PartMade } from '../../car/parts/partMade';
import type { Axle } from '../../car/stages/stage';
import { ALLOWANCES, type Feature, type Fit } from '../../physics/printing/coupon';
import { bodiesOf } from '../chassis/bodiesOfBuild';
import { couponOf, drawnFor, PILOT_SHARE, readingsOf } from '../print/joints';
import { type UsualDims, usualDims } from './usualDims';

/** A part that is drawn here. */
export type MadePart = Part & { made: PartMade };

/** What a drawing is made from: the document, the part's own dimensions or the usual ones, and what the printer does to holes. */
export class Drawer {
  readonly made: PartMade;
  readonly end: Axle;
  private readonly usual: UsualDims;
  private readonly samples: ReturnType<typeof readingsOf>['samples'];

  constructor(
    readonly document: BuildDocument,
    library: readonly LibraryItem[],
    readonly part: MadePart,
  ) {
    this.made = part.made;
    this.end = part.made.end ?? 'front';
    this.usual = usualDims(document, part);
    const coupon = couponOf(document, library, part.material?.name);
    this.samples = coupon ? readingsOf(coupon).samples : [];
  }

  /** A dimension, mm, or a count. */
  of(key: MadeDim | MadeCount): number {
    return this.made[key] ?? this.usual[key] ?? 0;
  }

  /** Dimensions that neither the part nor the document gives. */
  missing(): string[] {
    const { dims, counts = [] } = MADE_RECORDS[this.made.as] as {
      dims: readonly MadeDim[];
      counts?: readonly MadeCount[];
    };
    return [...dims, ...counts]
      .filter((key) => this.made[key] === undefined && this.usual[key] === undefined)
      .map((key) => this.at(`made.${key}`));
  }

  at(key: string): string {
    return `parts.items.${this.part.id}.${key}`;
  }

  /** A hole as it has to be drawn so that what goes through it fits. */
  hole(mm: number, fit: Fit): number {
    return this.drawn('hole', mm + ALLOWANCES[fit]);
  }

  /** A hole that a screw cuts its thread into. */
  pilot(screwMm: number): number {
    return this.drawn('hole', PILOT_SHARE * screwMm);
  }

  private drawn(kind: Feature, targetMm: number): number {
    return drawnFor(kind, targetMm, this.samples).drawMm;
  }

  /** A component where it stands, once it has a place. */
  body(id: string) {
    return bodiesOf(this.document).find((one) => one.id === id && one.placed);
  }
}
