'use client';

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
export function AidFoot({ title, settings }: { title: string; settings: readonly Setting[] }) {
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
    <Charts style={{ gap: 32, alignItems: 'flex-start' }}>
      <section aria-label="Settings">
        <Table size="small" className="grid" style={{ width: 'auto' }}>
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
                <TableCell className="quiet">{unit}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
        <Button variant="link" style={{ fontSize: 13, marginTop: 6 }} onClick={save}>
          As constants in a text file
        </Button>
      </section>
      <section aria-label="Runs with these settings" style={{ flex: '1 1 380px' }}>
        {tagged.length === 0 ? (
          <p className="quiet" style={{ fontSize: 13, maxWidth: 420 }}>
            No run is tagged with such settings yet. Put the aid into the build and log a run on the Field
            page: it takes the settings along, and stands here beside what was simulated.
          </p>
        ) : (
          <Table size="small" className="grid">
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
                    <TableCell align="right" className="slate">
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
      </section>
    </Charts>
  );
}
