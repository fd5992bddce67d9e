import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { sparesStock, USUAL_LIMIT_MINUTES } from '@/core/physics/statistics/spares';
import { failuresEver, livesOfParts } from '@/core/worked/field/lives';
import type { MakeLine } from '@/core/worked/print/makeList';
import { durationText } from '@/core/base/units/duration';
import { inSentence } from '@/core/base/units/words';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { Group } from '../fields/fields';

const USUAL_DAY_H = 1;

/** Spares for a day out from what has failed so far; what takes long to print and breaks stands first. */
export function SparesToCarry({ lines }: { lines: readonly MakeLine[] }) {
  const { failures, runs, revisions, printAheadMinutes = USUAL_LIMIT_MINUTES } = useBuild();
  const { reader } = useReader();
  const [hours, setHours] = useState<number | undefined>(USUAL_DAY_H);
  const lives = new Map(
    livesOfParts(revisions, runs, failures)
      .filter((life) => failuresEver(life) > 0)
      .map((life) => [life.partId, life]),
  );
  const long = lines.filter(({ printS = 0 }) => printS > printAheadMinutes * 60);
  const failing = lines.filter(({ partId }) => lives.has(partId ?? ''));
  const known = failing.flatMap(({ partId, name, printS, onHand }) =>
    lives.get(partId!)!.hours > 0 && lives.get(partId!)!.failures > 0
      ? [
          {
            id: partId!,
            name,
            onHand,
            failures: lives.get(partId!)!.failures,
            seenHours: lives.get(partId!)!.hours,
            printMinutes: (printS ?? 0) / 60,
          },
        ]
      : [],
  );
  const renewed = failing.flatMap(({ partId }) => {
    const life = lives.get(partId!)!;
    return life.failures === 0 ? [life] : [];
  });
  const longOnly = long.filter(({ partId }) => !lives.has(partId ?? ''));
  const found =
    known.length > 0 && hours
      ? sparesStock({
          parts: known.map(({ name: _, onHand: __, ...part }) => part),
          hours,
          printAheadOverMinutes: printAheadMinutes,
        })
      : undefined;
  const ahead = new Set(found?.printAhead);
  const sorted = found
    ? [...found.parts].sort(
        (a, b) =>
          Number(ahead.has(b.id)) - Number(ahead.has(a.id)) || b.expectedFailures - a.expectedFailures,
      )
    : [];
  const of = (id: string) => known.find((one) => one.id === id)!;
  return (
    <Group title="Spares to carry" aside="at 95 %, none runs out">
      <QuantityField
        label="A day out drives"
        quantity="hours"
        limits={{ above: 0, to: 100 }}
        value={hours}
        onChange={setHours}
      />
      {found ? (
        <Typography component="ul" variant="note" data-testid="spares">
          {sorted.map(({ id, spares, expectedFailures }) => (
            <li key={id} className={fieldsCss.field}>
              <span>
                {spares} × {of(id).name}{' '}
                {ahead.has(id) ? <b>print ahead, {durationText(of(id).printMinutes * 60)} each</b> : null}
                <br />
                <Typography component="small" variant="small" color="textSecondary">
                  {of(id).failures} failed in {formatText(of(id).seenHours, 'hours', reader, 2)}
                  {lives.get(id)!.earlier ? ' as it is drawn now' : ''},{' '}
                  {formatNumber(expectedFailures, reader.locale, 2)} expected; {of(id).onHand} on hand
                </Typography>
              </span>
            </li>
          ))}
        </Typography>
      ) : (
        <Typography variant="note" color="textSecondary">
          {failures.length === 0
            ? 'Nothing has failed yet: as soon as something does, this says how many to carry.'
            : failing.some(({ partId }) => lives.get(partId!)!.failures > 0)
              ? 'Say in the runs how long was driven, and this says how many to carry.'
              : failing.length > 0
                ? 'None of these has failed as it is drawn now.'
                : 'None of the parts in this list has failed.'}
        </Typography>
      )}
      {renewed.length > 0 ? (
        <Typography variant="note" color="textSecondary" data-testid="renewed">
          Redesigned since they failed, and held since:{' '}
          {renewed
            .map(({ name, hours: held }) => `${inSentence(name)} ${formatText(held, 'hours', reader, 2)}`)
            .join(', ')}
          . Take one of each until they have lasted.
        </Typography>
      ) : null}
      {longOnly.length > 0 ? (
        <Typography variant="note" color="textSecondary">
          Over {printAheadMinutes} min each, none failed yet:{' '}
          {longOnly.map(({ name, printS }) => `${name.toLowerCase()} (${durationText(printS!)})`).join(', ')}.
        </Typography>
      ) : null}
    </Group>
  );
}
