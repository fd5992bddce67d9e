import { Problem } from '@/ui/controls/Problem';
import { FileDrop } from '@/ui/controls/FileDrop';
import { useState } from 'react';
import type { KeptLog } from '@/core/car/records/benchReport';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { refusalText } from '@/words/refusals/problemOf';
import '@/words/later/bringIn';
import { workerOf } from '@/workers/clients';
import { useBuild } from '../../session/BuildContext';
import { RecordLog } from '../instruments/RecordLog';
import { UNNAMED } from './TrackDrop';

/** Takes a log by drop or choice and reads it at once. */
export function LogDrop({ log, onLog }: { log: KeptLog | undefined; onLog(log: KeptLog, file: Blob): void }) {
  const { reader } = useReader();
  const { document, surface } = useBuild();
  const [problem, setProblem] = useState<string>();
  const take = async (file: File) => {
    setProblem(undefined);
    const found = await workerOf('field').log(new Uint8Array(await file.arrayBuffer()), {
      roles: undefined,
      document,
      surface,
      motor: { freeSpin: [] },
    });
    if ('refused' in found) return setProblem(`${file.name}, ${refusalText(found.refused, reader)}.`);
    const { rows, durationS } = found.seen.summary;
    onLog({ hash: UNNAMED, name: file.name.slice(-120), rows, durationS }, file);
  };
  return (
    <section aria-label="Log">
      <FileDrop
        label="File of the log"
        accept=".csv,.txt,.log,.tsv,text/csv,text/plain"
        onFile={(file) => void take(file)}
      >
        {log ? `${log.name}. Another one: ` : 'Drop a log here: '}text in columns of any controller, gyro or
        recorder
      </FileDrop>
      <RecordLog onFile={(file) => void take(file)} />
      <Problem>{problem}</Problem>
      {log ? (
        <p data-testid="log-read">
          {formatNumber(log.rows, reader.locale, 6)} rows over {formatText(log.durationS, 'timeS', reader, 3)}
          .
        </p>
      ) : null}
    </section>
  );
}
