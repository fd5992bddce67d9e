'use client';

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
        <table className="grid tight" style={{ width: 'auto' }}>
          <thead>
            <tr>
              <th>Settings</th>
              <th className="num" />
              <th />
            </tr>
          </thead>
          <tbody>
            {settings.map(({ name, value, unit }) => (
              <tr key={name}>
                <td>{name}</td>
                <td className="num">{formatNumber(value, reader.locale, 4)}</td>
                <td className="quiet">{unit}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <button type="button" className="link" style={{ fontSize: 13, marginTop: 6 }} onClick={save}>
          As constants in a text file
        </button>
      </section>
      <section aria-label="Runs with these settings" style={{ flex: '1 1 380px' }}>
        {tagged.length === 0 ? (
          <p className="quiet" style={{ fontSize: 13, maxWidth: 420 }}>
            No run is tagged with such settings yet. Put the aid into the build and log a run on the Field
            page: it takes the settings along, and stands here beside what was simulated.
          </p>
        ) : (
          <table className="grid tight">
            <thead>
              <tr>
                <th>Driven with</th>
                <th>Run</th>
                {first ? <th className="num">{first.name}</th> : null}
                <th className="num">Measured</th>
              </tr>
            </thead>
            <tbody>
              {tagged.map((run) => {
                const { speed, speedErrorMps } = measuredOf(run);
                return (
                  <tr key={run.id} data-run={run.id}>
                    <td>
                      {revisions.find(({ id }) => id === run.revisionId)?.letter} <When at={run.ranAt} />
                    </td>
                    <td>{RUN_KIND_NAMES[run.kind]}</td>
                    {first ? (
                      <td className="num">
                        {run.conditions.settings!.find(({ name }) => name === first.name)?.value ?? ''}
                      </td>
                    ) : null}
                    <td className="num slate">
                      {run.kind === 'series'
                        ? seriesWords(run, reader)
                        : formatWithError(speed.mean, speedErrorMps, 'speedMps', reader)}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        )}
      </section>
    </Charts>
  );
}
