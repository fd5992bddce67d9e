import Button from '@mui/material/Button';
import Link from 'next/link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import type { RunReport } from '@/core/car/records/report';
import { crashedParts, untilItRuns } from '@/core/worked/bench/crash';
import { makeList } from '@/core/worked/print/makeList';
import { printerTimesOfBuild } from '@/core/worked/print/printerTimes';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { CRASH_STANDING_WORDS } from '@/words/bench/crashWords';
import { counted } from '@/words/lists';
import { segmentPath } from '../../frame/segments';
import { useBuild } from '../../session/BuildContext';

/** What broke and whether that was to be expected, what to look at, and what it takes until it runs. */
export function CrashAfter({ report }: { report: RunReport }) {
  const { root, revision, document, surface, prints, finishedPrints } = useBuild();
  const { reader } = useReader();
  const { speedMps, crash } = report;
  const damaged = crash?.damaged;
  const parts = useMemo(
    () => crashedParts(document, surface, speedMps, crash),
    [document, surface, speedMps, crash],
  );
  const until = useMemo(
    () => untilItRuns(damaged ?? [], makeList(document, printerTimesOfBuild(prints, finishedPrints))),
    [damaged, document, prints, finishedPrints],
  );
  const shown = parts.filter(({ standing }) => standing !== 'whole');
  const looks = parts.filter(({ standing }) => standing === 'look').length;
  const broke = damaged?.length ?? 0;
  return (
    <>
      <Typography variant="answer" data-testid="crash-answer">
        {broke === 0
          ? `Nothing broke${speedMps === undefined ? '' : ` at ${formatText(speedMps, 'speedMps', reader)}`}.`
          : `${counted(broke, 'part', 'parts')} broke: ${until.short === 0 ? 'spares of all lie ready' : `${counted(until.short, 'part', 'parts')} to make, ${formatText(until.printS / 3600, 'hours', reader, 2)} of printing${until.price > 0 ? ` and ${formatText(until.price, 'price', reader, 3)} to pay` : ''} until it runs`}.`}
        {looks > 0 ? ` ${counted(looks, 'more part', 'more parts')} to look at.` : ''}
      </Typography>
      {until.toPrint.length > 0 ? (
        <Button
          component={Link}
          variant="link"
          href={`${segmentPath(root, revision.letter, 'print')}?lay=${until.toPrint.map(encodeURIComponent).join(',')}`}
        >
          Lay what is to be printed on plates
        </Button>
      ) : null}
      {until.untimed + until.unpriced > 0 ? (
        <Typography variant="small" color="textSecondary">
          {until.untimed > 0
            ? `${counted(until.untimed, 'part has', 'parts have')} no time of printing yet. `
            : ''}
          {until.unpriced > 0 ? `${counted(until.unpriced, 'part has', 'parts have')} no price yet.` : ''}
        </Typography>
      ) : null}
      {shown.length === 0 ? null : (
        <TableContainer component="section" sx={{ my: 1.5 }} aria-label="Parts after the crash">
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>Part</TableCell>
                <TableCell align="right">Margin at that speed</TableCell>
                <TableCell>After the crash</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {shown.map(({ partId, name, margin, standing }) => (
                <TableRow key={partId} data-standing={standing}>
                  <TableCell>{name}</TableCell>
                  <TableCell align="right">
                    {margin === undefined ? '' : formatNumber(margin, reader.locale, 2)}
                  </TableCell>
                  <TableCell>{CRASH_STANDING_WORDS[standing]}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </TableContainer>
      )}
    </>
  );
}
