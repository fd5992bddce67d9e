'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { TakeOrCompare } from '../../frame/TakeOrCompare';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { inSentence } from '@/core/base/units/words';
import { ratioSentence, wishPinionSentence } from '@/words/ratioSentence';
import { overallRatio } from '@/core/car/document/drive';
import { meetingStretch, type RatioBand } from '@/core/worked/drive/ratioBand';
import { gearedStage, teethWithin } from '@/core/worked/drive/teeth';
import { gearsAtHand } from '@/core/car/library/items';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../../session/BuildContext';
import { CheckFigure } from '../../frame/CheckFigure';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { useWorked } from '../../session/useWorked';
import { workerOf } from '@/workers/clients';
import { RatioStrip } from './RatioStrip';
import { Apart } from '../../frame/Guarded';
import { Ask } from '../../frame/Ask';
import { Refusal } from '../../fields/Refusal';

const MOST_CHOICES = 6;

/** The ratios that meet the wish and stay cool, on every surface of the brief, and the teeth that reach them. */
export function RatioView() {
  const { document, surface } = useBuild();
  const { surfaces } = document.brief;
  const found = useWorked(
    surfaces.length > 0 ? () => workerOf('drive').band(document, surfaces) : undefined,
    [document],
  );
  if (found.refused) return <Refusal of={found} />;
  if (!found.value)
    return (
      <Typography variant="answer" color="textSecondary">
        Trying every ratio with a run and a whole pack…
      </Typography>
    );
  const bands = surfaces.flatMap(({ id, name }, index) => {
    const band = found.value![index];
    return band?.ok ? [{ id, name, band: band.value }] : [];
  });
  const missing = found.value.find((one) => !one.ok);
  if (missing && !missing.ok) return <StillNeeds missing={missing.missing} />;
  const shown = bands.find(({ id }) => id === surface?.id) ?? bands[0];
  if (!shown) return null;
  const [longest, shortest] = [
    Math.min(...bands.map(({ band }) => band.stretches[0]!.from)),
    Math.max(...bands.map(({ band }) => band.stretches.at(-1)!.to)),
  ];
  return (
    <Apart>
      <Ask>
        <RatioAnswer band={shown.band} surface={shown.name} />
        <SurfaceSwitch />
      </Ask>
      <Box sx={dimmedWhen(found.stale)} aria-busy={found.stale}>
        <RatioStrip bands={bands} from={longest} to={shortest} />
      </Box>
      <JustTheWish />
      <TeethChoices bands={bands} />
      <SegmentChecks segment="drive" side="ratio" />
      <WorkingPanel />
    </Apart>
  );
}

function RatioAnswer({ band, surface }: { band: RatioBand; surface: string }) {
  const { reader } = useReader();
  const ratio = (value: number) => formatNumber(value, reader.locale, 3);
  const meets = meetingStretch(band.stretches);
  const tone = band.present.verdict === 'meets' ? '' : 'over';
  return (
    <Typography variant="answer">
      <CheckFigure check="drive.rotation" title="the ratio" tone={tone}>
        <span data-testid="present-ratio">{ratio(band.present.ratio)}&nbsp;:&nbsp;1</span>
      </CheckFigure>{' '}
      on {surface.toLowerCase()}: {inSentence(ratioSentence(band, reader))}{' '}
      {meets ? (
        <>
          From <b data-testid="band-from">{ratio(meets.from)}</b> to{' '}
          <b data-testid="band-to">{ratio(meets.to)}&nbsp;:&nbsp;1</b> the wish is met and the motor stays
          cool.
        </>
      ) : (
        'No ratio meets the whole wish with this motor and pack: the explorer looks for others.'
      )}
    </Typography>
  );
}

function JustTheWish() {
  const { document } = useBuild();
  const { surfaces } = document.brief;
  const { reader } = useReader();
  const found = useWorked(() => workerOf('drive').wishPinion(document, surfaces), [document]);
  if (!found.value?.ok) return null;
  const { choice } = found.value.value;
  const sentence = wishPinionSentence(found.value.value, reader);
  return (
    <Box component="p" sx={dimmedWhen(found.stale)} data-testid="just-the-wish">
      {sentence}{' '}
      {choice.patch.length === 0 ? (
        <b>That is how it is.</b>
      ) : (
        <TakeOrCompare text={`${choice.pinionTeeth} teeth, just the wish`} patch={choice.patch} />
      )}
    </Box>
  );
}

interface Named {
  id: string;
  name: string;
  band: RatioBand;
}

function TeethChoices({ bands }: { bands: readonly Named[] }) {
  const { document, library } = useBuild();
  const { reader } = useReader();
  const stage = gearedStage(document.drive);
  const meets = bands.map(({ band }) => meetingStretch(band.stretches));
  const common = meets.every((one) => one !== undefined)
    ? { from: Math.max(...meets.map((one) => one!.from)), to: Math.min(...meets.map((one) => one!.to)) }
    : undefined;
  if (!stage) return <Note>Give a stage its teeth, and the counts that reach the band are named here.</Note>;
  if (!common || common.from > common.to)
    return meets.some(Boolean) ? <Note>No ratio meets the wish on every surface at once.</Note> : null;
  const choices = teethWithin(document.drive, common.from, common.to, gearsAtHand(library)).slice(
    0,
    MOST_CHOICES,
  );
  const at = overallRatio(document.drive);
  if (choices.length === 0)
    return (
      <Note>
        No pinion on the present wheel of {stage.wheelTeeth} teeth reaches the band; another wheel or a second
        stage does.
      </Note>
    );
  return (
    <Box component="section" sx={{ mt: 1.5 }} aria-label="Teeth that reach the band">
      <Typography component="h2" variant="label">
        {choices[0]!.atHand
          ? 'Gears at hand that reach the band'
          : 'Pinions that reach the band on the present wheel; none of the gears in the library do'}
        {bands.length > 1 ? ', on every surface' : ''}
      </Typography>
      <Table size="small" sx={{ width: 'auto' }}>
        <TableHead>
          <TableRow>
            <TableCell>First stage, {stage.kind}</TableCell>
            <TableCell align="right">Overall</TableCell>
            <TableCell align="right">Against now</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {choices.map((choice) => {
            const words = `${choice.pinionTeeth} to ${choice.wheelTeeth} teeth`;
            const present = choice.patch.length === 0;
            return (
              <TableRow key={words}>
                <TableCell>{present ? <b>{words}, as it is</b> : words}</TableCell>
                <TableCell align="right">{formatNumber(choice.ratio, reader.locale, 4)} : 1</TableCell>
                <TableCell align="right">
                  {at === undefined || present
                    ? ''
                    : `${choice.ratio > at ? 'shorter' : 'longer'} by ${formatText(Math.abs(choice.ratio / at - 1), 'share', reader, 2)}`}
                </TableCell>
                <TableCell>{present ? null : <TakeOrCompare text={words} patch={choice.patch} />}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Box>
  );
}
