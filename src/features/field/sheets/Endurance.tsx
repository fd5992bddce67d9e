import sheetsCss from '@/features/field/sheets/sheets.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { Note } from '@/ui/controls/Note';
import { useEffect, useState } from 'react';
import { ENDS_OF_RUN, type EndOfRun, type RunReport } from '@/core/car/records/report';
import type { Conditions } from '@/core/car/records/records';
import { predictedOf } from '@/core/worked/field/predictPack';
import { useReader } from '@/ui/reader';
import { packExpected } from '@/words/driving/bands';
import { needNames } from '@/words/needs';
import { problemOf } from '@/words/refusals/problemOf';
import { workerOf } from '@/workers/clients';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { QuantityField } from '@/ui/QuantityField';
import { Temperatures } from './Spin';

const END_WORDS: Readonly<Record<EndOfRun, string>> = {
  battery: 'the pack was empty',
  heat: 'something got too hot',
  failure: 'something failed',
  stopped: 'you stopped it',
};
const [MS_PER_MIN, TICK_MS] = [60_000, 1000];

/** A whole pack: a clock that runs, temperatures on the way, and what ended it. */
export function EnduranceSheet({
  id,
  report,
  onChange,
  conditions,
}: {
  id: string;
  report: RunReport;
  conditions: Conditions | undefined;
  onChange(change: Partial<RunReport>): void;
}) {
  const key = `endurance-${id}`;
  const [startedAt, setStarted] = useState<number>();
  const [now, setNow] = useState(0);
  useEffect(() => {
    queueMicrotask(() => {
      const kept = Number(window.localStorage.getItem(key) ?? NaN);
      if (Number.isFinite(kept)) setStarted(kept);
    });
  }, [key]);
  useEffect(() => {
    if (startedAt === undefined) return;
    const tick = () => setNow(Date.now());
    const first = setTimeout(tick);
    const timer = setInterval(tick, TICK_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [startedAt]);
  const minutes = startedAt === undefined ? undefined : Math.max(0, now - startedAt) / MS_PER_MIN;
  const start = () => {
    const at = Date.now();
    window.localStorage.setItem(key, String(at));
    setStarted(at);
  };
  const end = (endedBy: EndOfRun) => {
    onChange({ endedBy, ...(minutes === undefined ? {} : { endedAtMinutes: Number(minutes.toFixed(1)) }) });
    window.localStorage.removeItem(key);
    setStarted(undefined);
  };
  return (
    <>
      <div className={sheetsCss.watch} aria-live="off">
        {Math.floor(minutes ?? report.endedAtMinutes ?? 0)}:
        {String(Math.floor(((minutes ?? report.endedAtMinutes ?? 0) % 1) * 60)).padStart(2, '0')}
      </div>
      <Expected conditions={conditions} />
      {startedAt === undefined ? (
        <Button variant="go" onClick={start}>
          {report.endedBy ? 'Start again' : 'Start the pack'}
        </Button>
      ) : null}
      <Temperatures report={report} onChange={onChange} timed nowMinutes={minutes} />
      <Typography component="p" variant="label" sx={{ mt: 1.25 }}>
        What ended it
      </Typography>
      <Row>
        {ENDS_OF_RUN.map((one) => (
          <Button size="large" key={one} aria-pressed={report.endedBy === one} onClick={() => end(one)}>
            {END_WORDS[one]}
          </Button>
        ))}
      </Row>
      <QuantityField
        label="It drove for"
        quantity="minutes"
        limits={{ from: 0, to: 10_000 }}
        value={report.endedAtMinutes}
        onChange={(value) => onChange({ endedAtMinutes: value })}
      />
      <Note>
        A hot or puffed pack goes outside, on stone, away from what burns; charge no pack that is still warm.
      </Note>
    </>
  );
}

/** What is to be expected of the pack on this surface, in this air, with this charge. */
function Expected({ conditions }: { conditions: Conditions | undefined }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const { surfaceId, ambientC, packVBefore, extraMassG } = conditions ?? {};
  const found = useWorked(conditions ? () => workerOf('field').expectPack(document, conditions) : undefined, [
    document,
    surfaceId,
    ambientC,
    packVBefore,
    extraMassG,
  ]);
  const say = (text: string) => (
    <Typography variant="note" data-testid="pack-expected">
      {text}
    </Typography>
  );
  if (found.refused) return say(`${problemOf(found.refused, reader).message}.`);
  if (!found.value) return say('Driving the pack beforehand…');
  return say(
    found.value.ok
      ? packExpected(predictedOf(found.value.value), reader)
      : `No prediction: it needs ${needNames(found.value.missing)}. The run is kept all the same.`,
  );
}
