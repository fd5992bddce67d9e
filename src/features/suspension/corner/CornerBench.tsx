'use client';

import fieldsCss from '@/ui/fields.module.css';
import cornerCss from '@/features/suspension/corner/corner.module.css';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { Fold } from '@/ui/controls/Fold';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { useState } from 'react';
import type { DrawnCorner, End } from '@/core/car/document/suspension';
import { CalcError } from '@/core/base/errors';
import {
  startCorner,
  startDamper,
  startingTravel,
  startRocker,
  type Template,
  TEMPLATES,
} from '@/core/worked/suspension/start';
import { steers } from '@/core/worked/suspension/endOfBuild';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useBuild } from '../../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { PointsFile } from './PointsFile';
import { PointsTable } from './PointsTable';
import { AS_DRAWN, type CornerMotion, isStillAt, type Motion } from './useCornerMotion';
import { Fields } from '../../frame/Guarded';
import { refusalText } from '@/words/refusals/problemOf';
import { useReader } from '@/ui/reader';
import type { Refused } from '@/core/base/errors';
import { TEMPLATE_WORDS } from '@/words/labels/corner';

interface CornerBenchProps {
  end: End;
  state: CornerMotion;
  /** To a motion, or back to rest. */
  onMove(motion: Motion | undefined): void;
  chosen: string | undefined;
  onChoose(point: string): void;
}

const LEAST_RACK_MM = 10;
const MOST_ROLL_DEG = 6;

/** A corner to start from, its points, its travel, and the sliders that move it. */
export function CornerBench({ end, state, onMove, chosen, onChoose }: CornerBenchProps) {
  const { document } = useBuild();
  const own = document.suspension[end];
  const corner = own?.corner;
  const path = (...keys: string[]) => ['suspension', end, ...keys];
  if (!corner) return <StartFrom end={end} />;
  const { found, drawn, motion, restMm } = state;
  const [bump, droop] = [own.bumpMm ?? 15, own.droopMm ?? 10];
  const rack = Math.max(LEAST_RACK_MM, Math.ceil(document.suspension.steering?.lockMm ?? 0));
  const slide = (change: Partial<Motion>) => onMove({ ...motion, ...change });
  return (
    <Fields>
      <Group
        title="Move it"
        aside={
          <>
            {isStillAt(motion, restMm) ? null : (
              <Button variant="link" onClick={() => onMove(undefined)}>
                back to rest
              </Button>
            )}{' '}
            {restMm === 0 || isStillAt(motion, 0) ? null : (
              <Button variant="link" onClick={() => onMove(AS_DRAWN)}>
                as drawn
              </Button>
            )}
          </>
        }
      >
        <QuantitySlider
          label="Travel, up is bump"
          quantity="lengthMm"
          value={motion.travelMm}
          min={-droop}
          max={bump}
          step={0.5}
          onChange={(travelMm) => slide({ travelMm })}
          onEnd={() => undefined}
        />
        {end === 'front' && drawn && steers(drawn.corner) ? (
          <QuantitySlider
            label="Rack, to the left"
            quantity="lengthMm"
            value={motion.rackMm}
            min={-rack}
            max={rack}
            step={0.5}
            onChange={(rackMm) => slide({ rackMm })}
            onEnd={() => undefined}
          />
        ) : null}
        <QuantitySlider
          label="Roll, to the right"
          quantity="angleDeg"
          value={motion.rollDeg}
          min={-MOST_ROLL_DEG}
          max={MOST_ROLL_DEG}
          step={0.25}
          onChange={(rollDeg) => slide({ rollDeg })}
          onEnd={() => undefined}
        />
      </Group>
      <Group title="Hard points of the left side, as drawn">
        <PointsTable
          end={end}
          corner={corner}
          refused={found.ok ? undefined : found.refused}
          chosen={chosen}
          onChoose={onChoose}
        />
        <PointsFile end={end} corner={corner} />
      </Group>
      <Group title="Travel asked for, wheel and joints">
        <DocumentField path={path('bumpMm')} label="Bump travel" example={16} />
        <DocumentField path={path('droopMm')} label="Droop travel" example={10} />
        <DocumentField path={path('corner', 'staticCamberDeg')} label="Camber as drawn" />
        <DocumentField path={path('corner', 'staticToeDeg')} label="Toe as drawn" />
        <DocumentField path={path('corner', 'jointLimitDeg')} label="Joints turn up to" example={30} />
      </Group>
      <SpringPlace end={end} corner={corner} />
      <Fold title="Start again from another corner">
        <StartFrom end={end} />
      </Fold>
    </Fields>
  );
}

const BODIES = {
  wishbones: [
    ['lower', 'the lower arm'],
    ['upper', 'the upper arm'],
    ['upright', 'the upright'],
  ],
  hingePins: [
    ['lower', 'the arm'],
    ['carrier', 'the carrier'],
    ['upright', 'the knuckle'],
  ],
} as const;

/** How the damper is reached: straight from an arm, or by pushrod and rocker. */
function SpringPlace({ end, corner }: { end: End; corner: DrawnCorner }) {
  const { document, edit, closed } = useBuild();
  const path = (...keys: string[]) => ['suspension', end, 'corner', ...keys];
  const r = document.drive.tyre?.radiusMm ?? corner.wheelCentre[2];
  const direct = () =>
    edit([
      { path: path('rocker'), value: undefined },
      { path: path('damper'), value: startDamper(corner, r) },
    ]);
  const rocker = () =>
    edit([
      { path: path('damper'), value: undefined },
      { path: path('rocker'), value: startRocker(corner, r) },
    ]);
  return (
    <Group title="Damper">
      <div className={fieldsCss.field}>
        <span>Reached</span>
        <Toggles label="Damper reached">
          <Toggle size="small" pressed={corner.damper !== undefined} disabled={closed} onPress={direct}>
            straight
          </Toggle>
          <Toggle size="small" pressed={corner.rocker !== undefined} disabled={closed} onPress={rocker}>
            by a rocker
          </Toggle>
        </Toggles>
      </div>
      {corner.damper ? (
        <>
          <DocumentChoice path={path('damper', 'on')} label="Stands on" options={BODIES[corner.kind]} />
          <DocumentField path={path('damper', 'closedLengthMm')} label="Shortest, closed" example={60} />
        </>
      ) : null}
      {corner.rocker ? (
        <>
          <DocumentChoice
            path={path('rocker', 'pushrodArmOn')}
            label="Pushrod stands on"
            options={BODIES[corner.kind]}
          />
          <DocumentField path={path('rocker', 'closedLengthMm')} label="Shortest, closed" example={60} />
        </>
      ) : null}
    </Group>
  );
}

/** The four corners to start from, scaled to the car. */
function StartFrom({ end }: { end: End }) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const [refused, refuse] = useState<Refused>();
  const { wheelbaseMm, trackFrontMm, trackRearMm } = document.chassis;
  const trackMm = end === 'front' ? trackFrontMm : trackRearMm;
  const tyreRadiusMm = document.drive.tyre?.radiusMm;
  const missing = [
    ...(wheelbaseMm === undefined ? ['wheelbase'] : []),
    ...(trackMm === undefined ? [`${end} track`] : []),
    ...(tyreRadiusMm === undefined ? ['tyre'] : []),
  ];
  const start = (template: Template) => {
    try {
      const own = document.suspension[end];
      const travel = startingTravel(tyreRadiusMm!);
      edit([
        {
          path: ['suspension', end, 'corner'],
          value: startCorner(template, end, {
            wheelbaseMm: wheelbaseMm!,
            trackMm: trackMm!,
            tyreRadiusMm: tyreRadiusMm!,
          }),
        },
        ...(own?.bumpMm === undefined ? [{ path: ['suspension', end, 'bumpMm'], value: travel.bumpMm }] : []),
        ...(own?.droopMm === undefined
          ? [{ path: ['suspension', end, 'droopMm'], value: travel.droopMm }]
          : []),
        ...(end === 'front' && document.suspension.steering?.lockMm === undefined
          ? [{ path: ['suspension', 'steering', 'lockMm'], value: Math.round(0.18 * tyreRadiusMm!) }]
          : []),
      ]);
      refuse(undefined);
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      refuse(error.refused);
    }
  };
  return (
    <Group title={`Start the ${end} corner from`}>
      {missing.length > 0 ? (
        <Typography color="textSecondary">
          Needs {missing.join(', ')} first: Chassis and Drive hold them.
        </Typography>
      ) : null}
      <div data-path={`suspension.${end}.corner`}>
        {TEMPLATES.map((template) => (
          <div key={template} className={cornerCss.starter}>
            <Button disabled={closed || missing.length > 0} onClick={() => start(template)}>
              {TEMPLATE_WORDS[template].name}
            </Button>
            <Typography color="textSecondary">{TEMPLATE_WORDS[template].says}</Typography>
          </div>
        ))}
      </div>
      {refused ? (
        <Typography color="error" role="alert">
          {refusalText(refused, reader)}.
        </Typography>
      ) : null}
    </Group>
  );
}
