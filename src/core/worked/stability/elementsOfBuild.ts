import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { AirShapes } from '../../car/air/air';
import type { AirElement } from '../../physics/air/definition';
import { driveRun } from '../../physics/motion/run';
import { runInputOf } from '../motion/runOfBuild';
import { shapesOf } from '../air/airOfBuild';

/** What one thing in the air brings and costs. */
export interface ElementOfBuild {
  element: AirElement;
  /** Of the top speed, against the car without it; none where the car does not run or a typed figure stands before the shapes. */
  topSpeedChangeMps?: number;
}

/** The shapes without one of their elements; the body stays. */
function without({ wings, fins, splitter, undertray, noseScoop, ...body }: AirShapes, id: string): AirShapes {
  const singles = { splitter, undertray, noseScoop };
  return {
    ...body,
    ...(wings ? { wings: wings.filter((wing) => wing.id !== id) } : {}),
    ...(fins ? { fins: fins.filter((fin) => fin.id !== id) } : {}),
    ...Object.fromEntries(Object.entries(singles).filter(([key, value]) => value && key !== id)),
  };
}

/** Each element of the shapes with its areas, and what it changes of the top speed. */
export function elementsOfBuild(document: BuildDocument, surface: ChosenSurface): ElementOfBuild[] {
  const shapes = shapesOf(document);
  if (!shapes.ok) return [];
  const top = topSpeed(document, surface);
  return shapes.value.elements.map((element) => {
    if (element.id === 'body' || top === undefined || document.chassis.cdaM2 !== undefined)
      return { element };
    const { chassis } = document;
    const bare = topSpeed(
      { ...document, chassis: { ...chassis, air: without(chassis.air!, element.id) } },
      surface,
    );
    return { element, ...(bare === undefined ? {} : { topSpeedChangeMps: top - bare }) };
  });
}

function topSpeed(document: BuildDocument, surface: ChosenSurface): number | undefined {
  const run = runInputOf(document, surface);
  return run.ok ? driveRun(run.value).topSpeedMps : undefined;
}
