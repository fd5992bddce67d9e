'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { applyPatch } from '@/core/base/patch';
import { formatNumber } from '@/core/base/units/formatQuantity';
import type { HeatReading } from '@/core/car/document/heat';
import { RUN_KIND_RECORDS } from '@/core/car/records/runKinds';
import { Note } from '@/ui/controls/Note';
import { useReader } from '@/ui/reader';
import { sayAll } from '@/words/findings';
import { needNames } from '@/words/needs';
import { problemOf } from '@/words/refusals/problemOf';
import { workerOf } from '@/workers/clients';
import { useBuild } from '../session/BuildContext';
import { useWorked } from '../session/useWorked';

const MOST_READINGS = 20;

/** What the temperatures of endurance runs say of how the motor gets rid of its heat. */
export function MotorPath() {
  const { runs, revision, document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  const readings = useMemo(
    () =>
      runs
        .filter(({ kind, revisionId }) => RUN_KIND_RECORDS[kind].wholePack && revisionId === revision.id)
        .flatMap(({ id, report }) =>
          (report?.temperatures ?? []).flatMap((one): HeatReading[] =>
            one.place === 'motor' && one.minutes !== undefined && one.minutes > 0
              ? [{ id: `${id.slice(0, 20)}-${one.id}`.slice(0, 60), minutes: one.minutes, caseC: one.valueC }]
              : [],
          ),
        )
        .slice(0, MOST_READINGS),
    [runs, revision.id],
  );
  const probed = useMemo(
    () => applyPatch(document, [{ path: ['drive', 'heat', 'readings'], value: readings }]),
    [document, readings],
  );
  const found = useWorked(
    readings.length > 0 && surface ? () => workerOf('field').heat(probed, surface.id) : undefined,
    [probed, surface?.id],
  );
  if (readings.length === 0)
    return (
      <Typography variant="note" color="textSecondary">
        For the motor’s way of getting rid of heat, drive a pack as an endurance run and probe the motor on
        the way.
      </Typography>
    );
  const value = found.value;
  if (found.refused)
    return <Note tone="bad">The motor’s heat: {problemOf(found.refused, reader).message}.</Note>;
  if (!value) return <Typography color="textSecondary">Fitting the motor’s heat…</Typography>;
  const { calibration } = value;
  if (!calibration) return <Note>The motor’s heat needs {needNames(value.missing)}.</Note>;
  const worse = 100 * (calibration.factor - 1);
  return (
    <Note tone="ask" data-testid="motor-path">
      <b>Motor:</b> from {readings.length} {readings.length === 1 ? 'temperature' : 'temperatures'} its case
      gives off heat {formatNumber(Math.abs(worse), reader.locale, 2)}&nbsp;% {worse > 0 ? 'worse' : 'better'}{' '}
      than guessed, {formatNumber(calibration.residualC, reader.locale, 2)}&nbsp;K off on the whole.{' '}
      {sayAll(value.notes, reader)}{' '}
      {closed ? null : (
        <Button
          onClick={() =>
            edit([
              { path: ['drive', 'heat', 'readings'], value: readings },
              { path: ['drive', 'heat', 'calibration'], value: calibration },
            ])
          }
        >
          Take it over
        </Button>
      )}
    </Note>
  );
}
