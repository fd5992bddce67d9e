import tablesCss from '@/ui/controls/tables.module.css';
import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import TableContainer from '@mui/material/TableContainer';
import { Row as Line } from '@/ui/layout/Row';
import { SheetForm } from '@/ui/controls/SheetForm';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import { Select } from '@/ui/controls/Select';
import { useState } from 'react';
import { livesOfCopies } from '@/core/worked/field/lives';
import type { Versioned } from '@/core/car/records/records';
import { type Wear, wearOf } from '@/core/worked/field/wear';
import { type CopyRecord, WEAR_PLACES, type WearPlace } from '@/core/car/records/prints';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { wearWords } from '@/words/learn/life';
import { newId, sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { saveRecord } from '../session/saveRecord';

const PLACE_WORDS: Readonly<Record<WearPlace, string>> = {
  tooth: 'tooth thickness',
  pin: 'pin diameter',
  bore: 'bore',
};
const MOST = 14;

/** Printed copies that were driven and are still good, with what a caliper says of their wear. */
export function CopiesInUse() {
  const { copies, runs } = useBuild();
  const { reader } = useReader();
  const [chosen, choose] = useState<string>();
  const [all, setAll] = useState(false);
  const lives = livesOfCopies(copies, runs);
  const inUse = copies
    .filter(({ id, retiredAt }) => retiredAt === undefined && (lives.get(id)?.hours ?? 0) > 0)
    .sort(
      (a, b) =>
        (b.readings?.length ?? 0) - (a.readings?.length ?? 0) ||
        lives.get(b.id)!.hours - lives.get(a.id)!.hours,
    );
  if (inUse.length === 0)
    return (
      <Typography color="textSecondary" sx={{ mt: 2 }}>
        No printed copy has hours yet. Say on the run sheet which copies were on the car, and their hours
        stand here.
      </Typography>
    );
  return (
    <section aria-label="Copies on the car">
      <Typography variant="label" sx={{ mt: 2.25 }}>
        <span>Copies on the car, and how worn they are</span>
      </Typography>
      <TableContainer>
        <Table size="small" className={tablesCss.slim} data-testid="copies-in-use">
          <TableHead>
            <TableRow>
              <TableCell>Copy</TableCell>
              <TableCell align="right">Driven</TableCell>
              <TableCell align="right">Runs</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {inUse.slice(0, all ? undefined : MOST).map((copy) => (
              <Row
                key={copy.id}
                copy={copy}
                hours={lives.get(copy.id)!.hours}
                runs={lives.get(copy.id)!.runs}
                blows={lives.get(copy.id)!.blows}
                wear={wearOf(copy.readings ?? [], lives.get(copy.id)!.hours)}
                open={chosen === copy.id}
                onOpen={() => choose(chosen === copy.id ? undefined : copy.id)}
                hoursText={formatText(lives.get(copy.id)!.hours, 'hours', reader, 2)}
              />
            ))}
          </TableBody>
        </Table>
      </TableContainer>
      {inUse.length > MOST && !all ? (
        <Button variant="link" onClick={() => setAll(true)}>
          All {inUse.length} copies
        </Button>
      ) : null}
    </section>
  );
}

function Row({
  copy,
  hours,
  runs,
  blows,
  wear,
  open,
  onOpen,
  hoursText,
}: {
  copy: Versioned<CopyRecord>;
  hours: number;
  runs: number;
  blows: number;
  wear: readonly Wear[];
  open: boolean;
  onOpen(): void;
  hoursText: string;
}) {
  const { reader } = useReader();
  const soon = wear.some(({ hoursLeft }) => hoursLeft !== undefined && hoursLeft < 2);
  return (
    <>
      <TableRow>
        <TableCell>
          <b>{copy.partName}</b>
          {copy.how === 'draft' ? ', draft' : ''}{' '}
          <Typography component="span" variant="note" color="textSecondary">
            {[
              ...(copy.repairs ?? []).map(({ what }) => what),
              ...(blows > 0 ? [`${blows} hard blows`] : []),
            ].join('; ')}
          </Typography>
          {wear.map((place) => (
            <Typography key={place.of} component="div" variant="note" color={soon ? 'error' : 'inherit'}>
              {PLACE_WORDS[place.of]}: {wearWords(place, reader)}
            </Typography>
          ))}
        </TableCell>
        <TableCell align="right">{hoursText}</TableCell>
        <TableCell align="right">{runs}</TableCell>
        <TableCell>
          <Button
            variant="link"
            aria-expanded={open}
            aria-label={`Measure ${copy.partName}`}
            onClick={onOpen}
          >
            measure
          </Button>
        </TableCell>
      </TableRow>
      {open ? (
        <TableRow>
          <TableCell colSpan={4}>
            <ReadingForm copy={copy} hours={hours} onDone={onOpen} />
          </TableCell>
        </TableRow>
      ) : null}
    </>
  );
}

/** A caliper's reading of one copy, with the hours that it has by then. */
function ReadingForm({
  copy,
  hours: driven,
  onDone,
}: {
  copy: Versioned<CopyRecord>;
  hours: number;
  onDone(): void;
}) {
  const { keepCopy } = useBuild();
  const { reader } = useReader();
  const last = copy.readings?.at(-1);
  const [of, setOf] = useState<WearPlace>(
    last?.of ?? (/gear|pinion|wheel/i.test(copy.partName) ? 'tooth' : 'pin'),
  );
  const [valueMm, setValue] = useState<number>();
  const [hours, setHours] = useState<number | undefined>(Number(driven.toFixed(2)));
  const [limitMm, setLimit] = useState<number | undefined>(last?.limitMm);
  const [problem, setProblem] = useState<string>();
  const save = async () => {
    if (valueMm === undefined || hours === undefined)
      return setProblem('What did the caliper read, and after how many hours?');
    try {
      keepCopy(
        await saveRecord(
          'copy',
          copy,
          {
            ...copy,
            readings: [
              ...(copy.readings ?? []),
              {
                id: newId(),
                at: new Date().toISOString(),
                of,
                valueMm,
                hours,
                ...(limitMm === undefined ? {} : { limitMm }),
              },
            ],
          },
          copy,
        ),
      );
      onDone();
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <SheetForm label={`Wear of ${copy.partName}`} maxWidth={460} onSubmit={() => void save()}>
      <div className={fieldsCss.field}>
        <label htmlFor={`wear-${copy.id}`}>Measured at the</label>
        <Select
          id={`wear-${copy.id}`}
          value={of}
          onChange={(event) => setOf(event.target.value as WearPlace)}
        >
          {WEAR_PLACES.map((place) => (
            <option key={place} value={place}>
              {PLACE_WORDS[place]}
            </option>
          ))}
        </Select>
      </div>
      <QuantityField
        label="The caliper reads"
        quantity="lengthMm"
        limits={{ above: 0, to: 1000 }}
        value={valueMm}
        onChange={setValue}
        example={1.57}
      />
      <QuantityField
        label="After"
        quantity="hours"
        limits={{ from: 0, to: 100_000 }}
        value={hours}
        onChange={setHours}
      />
      <QuantityField
        label="Spent at"
        quantity="lengthMm"
        limits={{ above: 0, to: 1000 }}
        value={limitMm}
        onChange={setLimit}
      />
      <Typography variant="note" color="textSecondary">
        Left open, a tooth is spent when 0.2 of its module is worn off, a pin or bore at 0.15 mm of play.
      </Typography>
      {problem ? (
        <Typography color="error" role="alert">
          {problem}
        </Typography>
      ) : null}
      {(copy.readings ?? []).length > 0 ? (
        <Typography variant="note" color="textSecondary">
          So far:{' '}
          {(copy.readings ?? [])
            .map(
              (one) =>
                `${formatText(one.valueMm, 'lengthMm', reader, 4)} after ${formatText(one.hours, 'hours', reader)}`,
            )
            .join(', ')}
          .
        </Typography>
      ) : null}
      <Line sx={{ mt: 0.75 }}>
        <Button variant="contained" type="submit">
          Save the reading
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </Line>
    </SheetForm>
  );
}
