'use client';

import { USUAL_FAN_A } from '@/core/car/document/heat';
import { FAN_BLOWS, USUAL_FAN_MM, USUAL_SINK, usualFins } from '@/core/physics/cooling/caseCooling';
import {
  CONTROLLER_COOLINGS,
  USUAL_CONTROLLER_COOLING,
  USUAL_CONTROLLER_LIMIT_C,
} from '@/core/physics/cooling/controllerCooling';
import { CONTROLLER_COOLING_NAMES, FAN_BLOWS_NAMES } from '@/words/labels/heatWords';
import { DocumentChoice, DocumentField } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';

const heat = (key: string) => ['drive', 'heat', key];
const controller = (key: string) => ['power', 'controller', key];

/** Sink and fan at the motor, and what cools the controller. */
export function CoolingParts() {
  const { document } = useBuild();
  const { motor, heat: own = {} } = document.drive;
  return (
    <>
      <DocumentField path={heat('sinkFinMm')} example={10} />
      {own.sinkFinMm !== undefined && motor ? (
        <>
          <DocumentField path={heat('sinkLengthMm')} usual={USUAL_SINK.lengthShare * motor.lengthMm} />
          <DocumentField path={heat('sinkFins')} usual={usualFins(motor)} />
        </>
      ) : null}
      <DocumentField path={heat('fanM3PerH')} example={10} />
      {own.fanM3PerH === undefined ? null : (
        <>
          <DocumentField path={heat('fanSizeMm')} usual={USUAL_FAN_MM} />
          {own.sinkFinMm === undefined ? null : (
            <DocumentChoice
              path={heat('fanBlows')}
              empty={FAN_BLOWS_NAMES.free}
              options={FAN_BLOWS.filter((one) => one !== 'free').map(
                (one) => [one, FAN_BLOWS_NAMES[one]] as const,
              )}
            />
          )}
          <DocumentField path={heat('fanA')} usual={USUAL_FAN_A} />
        </>
      )}
      {document.power.controller ? (
        <>
          <DocumentChoice
            path={controller('cooling')}
            label="Controller cooled by"
            empty={CONTROLLER_COOLING_NAMES[USUAL_CONTROLLER_COOLING]}
            options={CONTROLLER_COOLINGS.filter((one) => one !== USUAL_CONTROLLER_COOLING).map(
              (one) => [one, CONTROLLER_COOLING_NAMES[one]] as const,
            )}
          />
          <DocumentField path={controller('limitC')} usual={USUAL_CONTROLLER_LIMIT_C} />
        </>
      ) : null}
    </>
  );
}
