import type { PartBox, PartPull } from '../../car/parts/parts';
import { type Stage, stageRatio } from '../../car/stages/stage';
import type { Body } from '../../physics/making/body';
import { backConeOf } from '../../physics/making/bevelBody';
import type { Fittings } from '../../physics/making/fittings';
import { ringRadii } from '../../physics/gears/internalOutline';
import { toothOf } from '../../physics/gears/toothForm';
import { sharingOf } from '../../physics/planetary/setStrength';
import type { PieceName } from './made';

/** Where a piece is held and what pulls at it, in its mesh's own mm. */
export interface HeldPiece {
  held: PartBox[];
  pulls: PartPull[];
}

/** Plastic round a bore, and depth of a rim, that count as held, mm. */
const GRIP_MM = 1;

type Vec = readonly [number, number, number];
const box = (id: string, min: Vec, max: Vec): PartBox => ({ id, min, max });

/**
 * A piece as its stage loads it: held by its shaft or its rim, the whole force of the mesh on the one tooth, or pin, on +y.
 *
 * @param pinionNm torque of the driving gear; without it nothing pulls
 */
export function heldPiece(
  stage: Stage,
  piece: PieceName,
  body: Body,
  pinionNm: number | undefined,
): HeldPiece {
  const place = placeOf(body);
  const force = pinionNm === undefined ? undefined : forceN(stage, piece, body, pinionNm);
  return {
    held: place.held,
    pulls:
      force === undefined || !place.pulled
        ? []
        : [{ ...place.pulled, from: 'own', forceN: force, direction: [1, 0, 0] }],
  };
}

/** Tangential, at the place that is pulled. */
function forceN(stage: Stage, piece: PieceName, body: Body, pinionNm: number): number | undefined {
  const ratio = stageRatio(stage) ?? 1;
  const planets = stage.planets ?? 1;
  const share = stage.kind === 'planetary' ? sharingOf(planets) / planets : 1;
  switch (body.kind) {
    case 'gear': {
      const { pitch } = toothOf(body);
      // sun and planet meet with one force; the wheel of a pair turns slower and harder
      const torque = piece === 'wheel' ? pinionNm * ratio : pinionNm;
      const radius = piece === 'planet' ? (stage.moduleMm! * stage.pinionTeeth!) / 2 : pitch;
      return (share * 1000 * torque) / radius;
    }
    case 'bevel': {
      const { coneDistanceMm, cone } = backConeOf(body);
      const mean = (cone.pitchDiameterMm / 2) * (1 - body.faceWidthMm / (2 * coneDistanceMm));
      // each planet of a differential passes its part of either half
      if (stage.kind === 'differential') {
        const side =
          (mean * stage.wheelTeeth!) / (piece === 'wheel' ? stage.wheelTeeth! : stage.pinionTeeth!);
        return (1000 * pinionNm) / 2 / planets / side;
      }
      return (1000 * pinionNm * (piece === 'wheel' ? ratio : 1)) / mean;
    }
    case 'ring': {
      const radius = (body.moduleMm * body.teeth) / 2;
      const torque = stage.kind === 'planetary' ? pinionNm * (ratio - 1) : pinionNm * ratio;
      return (share * 1000 * torque) / radius;
    }
    case 'carrier':
      return (share * 1000 * pinionNm * ratio) / body.centreDistanceMm;
    // a belt pulls at many teeth at once
    case 'pulley':
    case 'flange':
      return undefined;
  }
}

function placeOf(body: Body): { held: PartBox[]; pulled?: PartBox } {
  switch (body.kind) {
    case 'gear': {
      const { tip, root, teeth } = toothOf(body);
      const width = (tip * Math.PI) / teeth / 2;
      const top = Math.max(body.hubLengthMm ?? 0, body.faceWidthMm);
      return {
        held: [bore(body, top)],
        pulled: box('tooth', [-width, (root + tip) / 2, 0], [width, tip + 0.1, body.faceWidthMm]),
      };
    }
    case 'bevel': {
      const { ends, teeth } = backConeOf(body);
      const [height, hub] = [ends.farMm - ends.nearMm, hubOf(body, ends.farMm - ends.nearMm)];
      const width = (ends.tipMm * Math.PI) / teeth / 2;
      const low = (ends.rootFarMm + ends.rootNearMm) / 2;
      return {
        held: [bore(body, height + hub)],
        pulled: box('tooth', [-width, low, hub], [width, ends.tipMm + 0.1, hub + height]),
      };
    }
    case 'ring': {
      const { tip, root } = ringRadii(body);
      const [middle, width] = [Math.PI / body.teeth, (tip * Math.PI) / body.teeth / 2];
      const x = tip * Math.sin(middle);
      return {
        held: rim(body.outsideMm / 2, body.faceWidthMm),
        pulled: box('tooth', [x - width, tip - 0.1, 0], [x + width, (tip + root) / 2, body.faceWidthMm]),
      };
    }
    case 'carrier': {
      const hub = hubOf(body, body.thicknessMm);
      const [r, from] = [body.pinMm / 2 + 0.1, hub + body.thicknessMm];
      return {
        held: [bore(body, from)],
        pulled: box(
          'pin',
          [-r, body.centreDistanceMm - r, from + body.pinLengthMm / 2],
          [r, body.centreDistanceMm + r, from + body.pinLengthMm],
        ),
      };
    }
    case 'pulley':
    case 'flange':
      return { held: [bore(body, 1000)] };
  }
}

const hubOf = ({ hubDiameterMm, hubLengthMm }: Fittings, widthMm: number): number =>
  hubDiameterMm === undefined || hubLengthMm === undefined ? 0 : hubLengthMm - widthMm;

function bore({ boreMm, hexAcrossFlatsMm }: Fittings, heightMm: number): PartBox {
  const reach = (hexAcrossFlatsMm ?? boreMm) / 2 + GRIP_MM;
  return box('bore', [-reach, -reach, 0], [reach, reach, heightMm]);
}

/** The four sides of a ring. */
function rim(outsideMm: number, heightMm: number): PartBox[] {
  const [inner, half] = [outsideMm - GRIP_MM, outsideMm / 3];
  return [
    box('right', [inner, -half, 0], [outsideMm, half, heightMm]),
    box('left', [-outsideMm, -half, 0], [-inner, half, heightMm]),
    box('far', [-half, inner, 0], [half, outsideMm, heightMm]),
    box('near', [-half, -outsideMm, 0], [half, -inner, heightMm]),
  ];
}
