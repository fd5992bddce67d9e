import type { BuildDocument } from '../../car/document/document';
import type { LibraryItem } from '../../car/library/kinds';
import type { GearBody, Seat, Stage } from '../../car/stages/stage';
import type { Body } from '../../physics/making/body';
import type { Fittings } from '../../physics/making/fittings';
import { ringRadii } from '../../physics/gears/internalOutline';
import { ALLOWANCES, type Feature, type Fit } from '../../physics/printing/coupon';
import { planetTeethOf } from '../drive/stageTeeth';
import { couponOf, drawnFor, readingsOf } from '../print/joints';
import { USUAL_PROFILE } from './beltOfBuild';

/** What of a stage can be made. */
export const PIECES = ['pinion', 'wheel', 'planet', 'carrier', 'pinionFlange', 'wheelFlange'] as const;
export type PieceName = (typeof PIECES)[number];

/** A bore as it should be, and as it has to be drawn. */
export interface DrawnBore {
  targetMm: number;
  drawMm: number;
  fit: Fit;
  /** By the readings of a test piece. */
  corrected: boolean;
}

/** A piece of a stage: its body as it is drawn for the printer, or what it still needs. */
export interface Piece {
  piece: PieceName;
  copies: number;
  material?: string;
  densityGPerCm3?: number;
  missing: string[];
  body?: Body;
  bore?: DrawnBore;
}

export const USUAL_FIT: Fit = 'snug';
/** Of a planet that turns on its pin. */
export const USUAL_PLANET_FIT: Fit = 'running';
/** Between the teeth of pairs whose shafts cannot be moved apart, along the line of action, mm: printed teeth come out full. */
export const USUAL_PLAY_MM = 0.1;
/** Rim of a ring behind its roots, modules. */
export const USUAL_RIM = 2;
export const USUAL_CARRIER_MM = 4;
const SIDE_GEARS = 2;
/** A pin stands out of its planet by this much, mm. */
const PIN_BEYOND_MM = 0.5;
const COS_20 = Math.cos(Math.PI / 9);

/** Everything that a stage is made of; nothing of a chain or a direct drive. */
export function piecesOf(document: BuildDocument, stage: Stage, library: readonly LibraryItem[]): Piece[] {
  const maker = new Maker(document, stage, library);
  switch (stage.kind) {
    case 'spur':
      return [maker.gear('pinion'), maker.gear('wheel')];
    case 'internal':
      return [maker.gear('pinion'), maker.ring()];
    case 'bevel':
      return [maker.bevel('pinion'), maker.bevel('wheel')];
    case 'differential':
      return [
        { ...maker.bevel('pinion'), copies: stage.planets ?? 1 },
        { ...maker.bevel('wheel'), copies: SIDE_GEARS },
      ];
    case 'planetary':
      return [maker.gear('pinion'), maker.planet(), maker.ring(), maker.carrier()];
    case 'belt':
      return (['pinion', 'wheel'] as const).flatMap((gear) => [maker.pulley(gear), maker.flange(gear)]);
    default:
      return [];
  }
}

type Pair = 'pinion' | 'wheel';

class Maker {
  private readonly at: (key: string) => string;

  constructor(
    private readonly document: BuildDocument,
    private readonly stage: Stage,
    private readonly library: readonly LibraryItem[],
  ) {
    this.at = (key) => `drive.stages.${stage.id}.${key}`;
  }

  gear(piece: Pair): Piece {
    const { stage } = this;
    const body = stage[piece] ?? {};
    const { common, missing, seat } = this.seated(piece, body);
    const helixDeg = (piece === 'pinion' ? 1 : -1) * (stage.helixDeg ?? 0);
    const opens = stage.kind === 'spur';
    return this.whole(piece, { ...common, missing: [...this.needs(), ...missing] }, () => ({
      kind: 'gear',
      teeth: piece === 'pinion' ? stage.pinionTeeth! : stage.wheelTeeth!,
      moduleMm: (piece === 'wheel' ? stage.wheelModuleMm : undefined) ?? stage.moduleMm!,
      faceWidthMm: stage.faceWidthMm!,
      shift: stage.kind === 'planetary' ? 0 : (body.shift ?? 0),
      // a spur pair gets its play from shafts further apart
      backlashMm: opens ? 0 : this.playMm(),
      ...(opens ? { helixDeg, double: stage.doubleHelix ?? false } : {}),
      ...seat!,
    }));
  }

  bevel(piece: Pair): Piece {
    const { stage } = this;
    // the planets of a differential turn on their pins
    const turns = stage.kind === 'differential' && piece === 'pinion';
    const body = { ...(turns ? { boreFit: USUAL_PLANET_FIT } : {}), ...stage[piece] };
    const { common, missing, seat } = this.seated(piece, body);
    return this.whole(piece, { ...common, missing: [...this.needs(), ...missing] }, () => ({
      kind: 'bevel',
      gear: piece,
      pinionTeeth: stage.pinionTeeth!,
      wheelTeeth: stage.wheelTeeth!,
      moduleMm: stage.moduleMm!,
      faceWidthMm: stage.faceWidthMm!,
      pressureAngleDeg: 20,
      pinionShift: stage.pinion?.shift ?? 0,
      backlashMm: this.playMm(),
      ...seat!,
    }));
  }

  ring(): Piece {
    const { stage } = this;
    const body = stage.wheel ?? {};
    const samples = this.samplesFor(body.material?.name);
    return this.whole('wheel', { ...this.madeOf(body), missing: this.needs() }, () => {
      const teeth = { teeth: stage.wheelTeeth!, moduleMm: stage.moduleMm!, backlashMm: this.playMm() };
      const addendum = stage.ringAddendum ?? 1;
      return {
        kind: 'ring',
        ...teeth,
        addendum,
        faceWidthMm: stage.faceWidthMm!,
        outsideMm: body.outsideMm ?? 2 * (ringRadii(teeth).root + USUAL_RIM * stage.moduleMm!),
        ...boltsOf(body, samples),
      };
    });
  }

  planet(): Piece {
    const { stage } = this;
    const body = { boreFit: USUAL_PLANET_FIT, ...stage.planet };
    const { common, missing, seat } = this.seated('planet', body);
    const needs = [...this.needs(), ...this.needsPlanets(), ...missing];
    return this.whole('planet', { ...common, missing: needs, copies: stage.planets ?? 1 }, () => ({
      kind: 'gear',
      teeth: planetTeethOf(stage),
      moduleMm: stage.moduleMm!,
      faceWidthMm: stage.faceWidthMm!,
      backlashMm: this.playMm(),
      ...seat!,
    }));
  }

  carrier(): Piece {
    const { stage } = this;
    const { thicknessMm = USUAL_CARRIER_MM, ...body } = stage.carrier ?? {};
    const material = stage.planet?.material;
    const { common, missing, seat } = this.seated('carrier', { ...body, ...(material ? { material } : {}) });
    const pinMm = stage.planet?.boreMm;
    const needs = [
      ...this.needs(),
      ...this.needsPlanets(),
      ...(pinMm === undefined ? [this.at('planet.boreMm')] : []),
      ...missing,
    ];
    return this.whole('carrier', { ...common, missing: needs }, () => ({
      kind: 'carrier',
      planets: stage.planets!,
      centreDistanceMm: (stage.moduleMm! * (stage.pinionTeeth! + planetTeethOf(stage))) / 2,
      pinMm: this.drawn('peg', pinMm!, material?.name),
      pinLengthMm: stage.faceWidthMm! + PIN_BEYOND_MM,
      thicknessMm,
      ...seat!,
    }));
  }

  pulley(piece: Pair): Piece {
    return this.pulleyOf(piece, piece, 'pulley');
  }

  flange(piece: Pair): Piece {
    return this.pulleyOf(piece, piece === 'pinion' ? 'pinionFlange' : 'wheelFlange', 'flange');
  }

  private pulleyOf(of: Pair, piece: PieceName, kind: 'pulley' | 'flange'): Piece {
    const { stage, at } = this;
    const { common, missing, seat } = this.seated(of, stage[of] ?? {});
    const needs = [
      ...(stage.pitchMm === undefined ? [at('pitchMm')] : []),
      ...this.needsTeeth(),
      ...(stage.faceWidthMm === undefined ? [at('faceWidthMm:belt')] : []),
      ...missing,
    ];
    return this.whole(piece, { ...common, missing: needs }, () => ({
      kind,
      teeth: of === 'pinion' ? stage.pinionTeeth! : stage.wheelTeeth!,
      pitchMm: stage.pitchMm!,
      profile: stage.beltProfile ?? USUAL_PROFILE,
      widthMm: stage.faceWidthMm!,
      ...seat!,
    }));
  }

  /** Along the pitch circle, of the pair. */
  private playMm(): number {
    return (this.stage.backlashMm ?? USUAL_PLAY_MM) / COS_20;
  }

  private needsTeeth(): string[] {
    const { pinionTeeth, wheelTeeth } = this.stage;
    return pinionTeeth === undefined || wheelTeeth === undefined ? ['drive.stages'] : [];
  }

  private needs(): string[] {
    const { moduleMm, faceWidthMm } = this.stage;
    return [
      ...this.needsTeeth(),
      ...(moduleMm === undefined ? [this.at('moduleMm')] : []),
      ...(faceWidthMm === undefined ? [this.at('faceWidthMm')] : []),
    ];
  }

  private needsPlanets(): string[] {
    const { planets, pinionTeeth, wheelTeeth } = this.stage;
    const whole =
      pinionTeeth === undefined || wheelTeeth === undefined || Number.isInteger(planetTeethOf(this.stage));
    return [
      ...(planets === undefined ? [this.at('planets')] : []),
      ...(whole ? [] : [this.at('wheelTeeth:planets')]),
    ];
  }

  private madeOf({ material }: Pick<GearBody, 'material'>): Pick<Piece, 'material' | 'densityGPerCm3'> {
    return material ? { material: material.name, densityGPerCm3: material.densityGPerCm3 } : {};
  }

  private samplesFor(material: string | undefined) {
    const coupon = couponOf(this.document, this.library, material);
    return coupon ? readingsOf(coupon).samples : [];
  }

  private drawn(kind: Feature, targetMm: number, material: string | undefined): number {
    return drawnFor(kind, targetMm, this.samplesFor(material)).drawMm;
  }

  /** The seat of a body with every hole as it has to be drawn. */
  private seated(
    piece: PieceName,
    body: Seat & Pick<GearBody, 'material'>,
  ): { common: Partial<Piece>; missing: string[]; seat?: Fittings } {
    const common = this.madeOf(body);
    const { boreMm, hexAcrossFlatsMm, flatDepthMm, hubDiameterMm, hubLengthMm } = body;
    const size = hexAcrossFlatsMm ?? boreMm;
    if (size === undefined) return { common, missing: [this.at(`${piece}.boreMm`)] };
    const samples = this.samplesFor(body.material?.name);
    const fit = body.boreFit ?? USUAL_FIT;
    const targetMm = size + ALLOWANCES[fit];
    const { drawMm } = drawnFor('hole', targetMm, samples);
    const corrected = samples.some(({ kind }) => kind === 'hole');
    const hole = (mm: number) => drawnFor('hole', mm, samples).drawMm;
    return {
      common: { ...common, bore: { targetMm, drawMm, fit, corrected } },
      missing: [],
      seat: {
        boreMm: hexAcrossFlatsMm === undefined ? drawMm : (boreMm ?? drawMm),
        ...(hexAcrossFlatsMm === undefined ? {} : { hexAcrossFlatsMm: drawMm }),
        ...(flatDepthMm === undefined || hexAcrossFlatsMm !== undefined ? {} : { flatDepthMm }),
        ...(hubDiameterMm === undefined
          ? {}
          : { hubDiameterMm, ...(hubLengthMm === undefined ? {} : { hubLengthMm }) }),
        ...(body.setScrewMm === undefined ? {} : { setScrewMm: hole(body.setScrewMm) }),
        ...boltsOf(body, samples),
      },
    };
  }

  private whole(piece: PieceName, known: Partial<Piece>, body: () => Body): Piece {
    const missing = [...new Set(known.missing)];
    return {
      copies: 1,
      ...known,
      piece,
      missing,
      ...(missing.length > 0 ? {} : { body: body() }),
    };
  }
}

type Samples = ReturnType<typeof readingsOf>['samples'];

const boltsOf = ({ bolts, boltCircleMm, boltHoleMm }: Seat, samples: Samples): Partial<Fittings> => ({
  ...(bolts === undefined ? {} : { bolts }),
  ...(boltCircleMm === undefined ? {} : { boltCircleMm }),
  ...(boltHoleMm === undefined ? {} : { boltHoleMm: drawnFor('hole', boltHoleMm, samples).drawMm }),
});
