'use client';

import { DIMMED } from '@/ui/theme/tokens';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { needNames } from '@/words/needs';
import type { Tooth } from '@/core/worked/drive/toothOfBuild';
import { MOST_HOURS } from '@/core/verdict/drive/gears/wear.check';
import { unjudgedStages } from '@/core/worked/drive/stageMesh';
import { firstUp } from '@/words/lists';
import { TORQUE_BY } from '@/words/terms';
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
  if (!surface) return <p className="quiet">What strips the teeth is worked out once a surface is chosen.</p>;
  if (!found.value)
    return found.refused ? (
      <Note tone="bad" role="alert">
        {problemOf(found.refused, reader).message}
      </Note>
    ) : (
      <p className="quiet">Loading the teeth…</p>
    );
  if (!found.value.ok)
    return (
      <Note>What strips the teeth is not worked out yet: it needs {needNames(found.value.missing)}.</Note>
    );
  const teeth = found.value.value;
  const before = (tooth: Tooth) =>
    ghost && other.value?.ok
      ? other.value.value.find(({ stage, role }) => stage.id === tooth.stage.id && role === tooth.role)
          ?.bending.margin
      : undefined;
  return (
    <section
      className="gridbox"
      aria-label="Teeth"
      style={{ marginTop: 10, opacity: found.stale ? DIMMED : 1 }}
      aria-busy={found.stale}
    >
      <Table size="small" className="grid">
        <TableHead>
          <TableRow>
            <TableCell>Weakest first</TableCell>
            <TableCell align="right">Sees</TableCell>
            <TableCell>from</TableCell>
            <TableCell align="right">Strips at</TableCell>
            <TableCell align="right">Margin</TableCell>
            <TableCell align="right">Width that holds twice</TableCell>
            <TableCell align="right">Worn out in</TableCell>
            <TableCell align="right">Runs at</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {teeth.map((tooth) => (
            <ToothRow
              key={`${tooth.stage.id}-${tooth.role}`}
              tooth={tooth}
              ghost={
                before(tooth) === undefined ? undefined : { label: ghost!.label, margin: before(tooth)! }
              }
            />
          ))}
          {unjudgedStages(document.drive).map(({ id, kind, pinionTeeth, wheelTeeth }) => (
            <TableRow key={id} data-unjudged={id}>
              <TableCell>
                <b>{firstUp(kind)}</b>{' '}
                <span className="quiet">
                  {pinionTeeth === undefined || wheelTeeth === undefined
                    ? ''
                    : `${pinionTeeth} to ${wheelTeeth}`}
                </span>
              </TableCell>
              <TableCell className="quiet" colSpan={7}>
                not worked out yet: hold it by trial
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </section>
  );
}

function ToothRow({
  tooth: { stage, role, teeth, material, load, torqueNm, temperatureC, bending, worn },
  ghost,
}: {
  tooth: Tooth;
  ghost: { label: string; margin: number } | undefined;
}) {
  const { reader } = useReader();
  const { margin, torqueAtMargin1Nm, faceWidthForMargin2Mm } = bending;
  const tone = margin === undefined ? '' : margin < 1 ? 'var(--rust)' : margin < 1.5 ? 'var(--ochre)' : '';
  return (
    <TableRow data-tooth={`${stage.id}-${role}`}>
      <TableCell>
        <b>
          {role === 'pinion' ? 'Pinion' : 'Wheel'}, {teeth}
        </b>{' '}
        <span className="quiet">{material.name.toLowerCase()}</span>
      </TableCell>
      <TableCell align="right">{formatText(torqueNm, 'torqueNm', reader)}</TableCell>
      <TableCell className="quiet">{TORQUE_BY[load.by]}</TableCell>
      <TableCell align="right">
        {bending.allowableMpa === 0 ? 'soft' : formatText(torqueAtMargin1Nm, 'torqueNm', reader)}
      </TableCell>
      <TableCell align="right" style={{ color: tone, fontWeight: tone ? 650 : 400 }}>
        {margin === undefined ? '—' : formatNumber(margin, reader.locale, 3)}
        {ghost ? (
          <span className="ghostvalue">
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
      <TableCell align="right">{formatText(temperatureC, 'temperatureC', reader)}</TableCell>
    </TableRow>
  );
}
