'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { constantsText, type Setting } from '@/core/worked/aids/aidSettings';
import { measuredOf } from '@/core/worked/field/measured';
import { isTimed } from '@/core/car/records/records';
import { formatNumber, formatWithError } from '@/core/base/units/formatQuantity';
import { seriesWords } from '@/words/learn/runs';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { useBuild } from '../../session/BuildContext';
import { handOver } from '../../session/handOver';
import { Charts } from '../../frame/Guarded';

/** The settings as a small table to copy, as constants to paste, and the runs that were driven with such. */
export function AidFoot({
  title,
  settings,
  law,
}: {
  title: string;
  settings: readonly Setting[];
  /** The law as a C file, of an aid that has one, by the name of its build. */
  law?: (build: string) => string;
}) {
  const { build, revision, runs, revisions } = useBuild();
  const { reader } = useReader();
  const names = new Set(settings.map(({ name }) => name));
  const tagged = runs
    .filter(isTimed)
    .filter(({ conditions }) => conditions.settings?.some(({ name }) => names.has(name)));
  const save = () =>
    handOver(
      `${build.name} ${revision.letter} ${title}.txt`,
      'text/plain',
      constantsText(`${build.name} ${revision.letter}, ${title}`, settings),
    );
  const first = settings[0];
  return (
    <Charts sx={{ gap: 4, alignItems: 'flex-start' }}>
      <section aria-label="Settings">
        <Table size="small" sx={{ width: 'auto' }}>
          <TableHead>
            <TableRow>
              <TableCell>Settings</TableCell>
              <TableCell align="right" />
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {settings.map(({ name, value, unit }) => (
              <TableRow key={name}>
                <TableCell>{name}</TableCell>
                <TableCell align="right">{formatNumber(value, reader.locale, 4)}</TableCell>
                <TableCell data-tone="quiet">{unit}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
        <Button variant="link" sx={{ mt: 0.75 }} onClick={save}>
          As constants in a text file
        </Button>
        {law ? (
          <Button
            variant="link"
            sx={{ mt: 0.75, ml: 2 }}
            onClick={() =>
              handOver(
                `${build.name} ${revision.letter} ${title}.c`,
                'text/x-c',
                law(`${build.name} ${revision.letter}`),
              )
            }
          >
            As a C file for a microcontroller
          </Button>
        ) : null}
      </section>
      <Box component="section" sx={{ flex: '1 1 380px' }} aria-label="Runs with these settings">
        {tagged.length === 0 ? (
          <Typography variant="note" color="textSecondary" sx={{ maxWidth: 420 }}>
            No run is tagged with such settings yet. Put the aid into the build and log a run on the Field
            page: it takes the settings along, and stands here beside what was simulated.
          </Typography>
        ) : (
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>Driven with</TableCell>
                <TableCell>Run</TableCell>
                {first ? <TableCell align="right">{first.name}</TableCell> : null}
                <TableCell align="right">Measured</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {tagged.map((run) => {
                const { speed, speedErrorMps } = measuredOf(run);
                return (
                  <TableRow key={run.id} data-run={run.id}>
                    <TableCell>
                      {revisions.find(({ id }) => id === run.revisionId)?.letter} <When at={run.ranAt} />
                    </TableCell>
                    <TableCell>{RUN_KIND_NAMES[run.kind]}</TableCell>
                    {first ? (
                      <TableCell align="right">
                        {run.conditions.settings!.find(({ name }) => name === first.name)?.value ?? ''}
                      </TableCell>
                    ) : null}
                    <TableCell align="right" data-tone="measured">
                      {run.kind === 'series'
                        ? seriesWords(run, reader)
                        : formatWithError(speed.mean, speedErrorMps, 'speedMps', reader)}
                    </TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          </Table>
        )}
      </Box>
    </Charts>
  );
}
