'use client';

import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import TableContainer from '@mui/material/TableContainer';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { needNames } from '@/words/needs';
import { judgedStages, type Tooth, toothMissing } from '@/core/worked/drive/toothOfBuild';
import { MOST_HOURS } from '@/core/verdict/drive/gears/wear.face';
import { firstUp } from '@/words/lists';
import { gearName, TORQUE_BY } from '@/words/terms';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { workerOf } from '@/workers/clients';
import { problemOf } from '@/words/refusals/problemOf';

/** Every gear against what would strip it, how wide it must be, and how long its flank lasts. */
export function Teeth() {
  const { reader } = useReader();
  const { document, surface, ghost } = useBuild();
  const other = useWorked(
    surface && ghost ? () => workerOf('drive').teeth(ghost.document, surface) : undefined,
    [ghost?.document, surface],
  );
  const found = useWorked(surface ? () => workerOf('drive').teeth(document, surface) : undefined, [
    document,
    surface,
  ]);
  if (!surface)
    return (
      <Typography color="textSecondary">
        What strips the teeth is worked out once a surface is chosen.
      </Typography>
    );
  if (!found.value)
    return found.refused ? (
      <Note tone="bad" role="alert">
        {problemOf(found.refused, reader).message}
      </Note>
    ) : (
      <Typography color="textSecondary">Loading the teeth…</Typography>
    );
  if (!found.value.ok)
    return (
      <Note>What strips the teeth is not worked out yet: it needs {needNames(found.value.missing)}.</Note>
    );
  const teeth = found.value.value;
  const pushed = teeth.some(({ bending }) => (bending.thrustN ?? 0) > 0);
  const before = (tooth: Tooth) =>
    ghost && other.value?.ok
      ? other.value.value.find(({ stage, role }) => stage.id === tooth.stage.id && role === tooth.role)
          ?.bending.margin
      : undefined;
  return (
    <TableContainer
      component="section"
      sx={{ mt: 1.25, ...dimmedWhen(found.stale) }}
      aria-label="Teeth"
      aria-busy={found.stale}
    >
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Weakest first</TableCell>
            <TableCell align="right">Sees</TableCell>
            <TableCell>from</TableCell>
            <TableCell align="right">Strips at</TableCell>
            <TableCell align="right">Margin</TableCell>
            <TableCell align="right">Width that holds twice</TableCell>
            <TableCell align="right">Worn out in</TableCell>
            {pushed ? <TableCell align="right">Pushes along its shaft</TableCell> : null}
            <TableCell align="right">Runs at</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {teeth.map((tooth) => (
            <ToothRow
              key={`${tooth.stage.id}-${tooth.role}`}
              tooth={tooth}
              pushed={pushed}
              ghost={
                before(tooth) === undefined ? undefined : { label: ghost!.label, margin: before(tooth)! }
              }
            />
          ))}
          {judgedStages(document.drive).open.map((stage) => (
            <TableRow key={stage.id} data-unjudged={stage.id}>
              <TableCell>
                <b>{firstUp(stage.kind)}</b>{' '}
                <Typography component="span" color="textSecondary">
                  {stage.pinionTeeth === undefined || stage.wheelTeeth === undefined
                    ? ''
                    : `${stage.pinionTeeth} to ${stage.wheelTeeth}`}
                </Typography>
              </TableCell>
              <TableCell data-tone="quiet" colSpan={pushed ? 8 : 7}>
                not worked out yet: it needs {needNames(toothMissing(stage))}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}

function ToothRow({
  tooth: { stage, role, teeth, material, load, torqueNm, temperatureC, bending, worn },
  pushed,
  ghost,
}: {
  tooth: Tooth;
  /** Whether any gear pushes along its shaft. */
  pushed: boolean;
  ghost: { label: string; margin: number } | undefined;
}) {
  const { reader } = useReader();
  const { margin, torqueAtMargin1Nm, faceWidthForMargin2Mm } = bending;
  const tone = margin === undefined ? undefined : margin < 1 ? 'fails' : margin < 1.5 ? 'tight' : undefined;
  return (
    <TableRow data-tooth={`${stage.id}-${role}`}>
      <TableCell>
        <b>
          {firstUp(gearName(stage.kind, role))}, {teeth}
        </b>{' '}
        <Typography component="span" color="textSecondary">
          {material.name.toLowerCase()}
        </Typography>
      </TableCell>
      <TableCell align="right">{formatText(torqueNm, 'torqueNm', reader)}</TableCell>
      <TableCell data-tone="quiet">{TORQUE_BY[load.by]}</TableCell>
      <TableCell align="right">
        {bending.allowableMpa === 0 ? 'soft' : formatText(torqueAtMargin1Nm, 'torqueNm', reader)}
      </TableCell>
      <TableCell align="right" data-tone={tone}>
        {margin === undefined ? '—' : formatNumber(margin, reader.locale, 3)}
        {ghost ? (
          <span className={fieldsCss.ghostvalue}>
            {' '}
            {ghost.label}: {formatNumber(ghost.margin, reader.locale, 3)}
          </span>
        ) : null}
      </TableCell>
      <TableCell align="right">
        {faceWidthForMargin2Mm === undefined ? '—' : formatText(faceWidthForMargin2Mm, 'lengthMm', reader)}
      </TableCell>
      <TableCell align="right">
        {worn?.hoursToWearLimit === undefined
          ? 'no wear figure'
          : worn.hoursToWearLimit > MOST_HOURS
            ? `over ${formatText(MOST_HOURS, 'hours', reader)}`
            : formatText(worn.hoursToWearLimit, 'hours', reader)}
      </TableCell>
      {pushed ? (
        <TableCell align="right">
          {bending.thrustN ? formatText(bending.thrustN, 'forceN', reader) : '—'}
        </TableCell>
      ) : null}
      <TableCell align="right">{formatText(temperatureC, 'temperatureC', reader)}</TableCell>
    </TableRow>
  );
}
