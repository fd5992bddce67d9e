import fieldsCss from '@/ui/fields.module.css';
import sheetsCss from '@/features/field/sheets/sheets.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { IconAct } from '@/ui/controls/IconAct';
import Button from '@mui/material/Button';
import { TextInput } from '@/ui/controls/TextInput';
import { useState } from 'react';
import { DROP_OUTCOMES, type DropOutcome, type RunReport } from '@/core/car/records/report';
import { dropLimit } from '@/core/worked/field/report';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { newId } from '../../api';

export interface SheetProps {
  report: RunReport;
  onChange(change: Partial<RunReport>): void;
}

export const fresh = (kind: string) => `${kind}-${newId().slice(0, 8)}`;

/** Can it pass? One thing after the other. */
export function TerrainSheet({ report, onChange }: SheetProps) {
  const list = report.passages ?? [];
  const [what, setWhat] = useState('');
  const note = (passed: boolean) => {
    if (what.trim() === '') return;
    onChange({ passages: [...list, { id: fresh('pass'), what: what.trim(), passed }] });
    setWhat('');
  };
  return (
    <>
      {list.map(({ id, what: called, passed }) => (
        <div key={id} className={fieldsCss.field}>
          <span>{called}</span>
          <span>
            <b>{passed ? 'passed' : 'stuck'}</b>{' '}
            <IconAct
              icon="takeOut"
              label={`Take ${called} out`}
              onClick={() => onChange({ passages: list.filter((one) => one.id !== id) })}
            />
          </span>
        </div>
      ))}
      <div className={fieldsCss.textField}>
        <label htmlFor="what-passed">What</label>
        <TextInput
          id="what-passed"
          value={what}
          maxLength={120}
          placeholder="e.g. wet grass, 12 cm"
          onChange={(event) => setWhat(event.target.value)}
        />
      </div>
      <Box className={sheetsCss.counter} sx={{ mt: 1 }}>
        <Button variant="go" disabled={what.trim() === ''} onClick={() => note(true)}>
          It passed
        </Button>
        <Button variant="stop" disabled={what.trim() === ''} onClick={() => note(false)}>
          It got stuck
        </Button>
      </Box>
    </>
  );
}

const NEXT_STEP = 1.25;
const OUTCOME_WORDS: Readonly<Record<DropOutcome, string>> = {
  held: 'It held',
  damaged: 'Damaged',
  failed: 'It failed',
};

/** Dropped from one height after the other until it fails; the next is a quarter higher. */
export function DropSheet({ report, onChange }: SheetProps) {
  const { reader } = useReader();
  const list = report.drops ?? [];
  const last = list.at(-1)?.heightM;
  const [heightM, setHeight] = useState<number | undefined>();
  const at = heightM ?? (last === undefined ? 0.1 : Number((last * NEXT_STEP).toFixed(2)));
  const { heldM, failedM } = dropLimit(report);
  const note = (outcome: DropOutcome) => {
    onChange({ drops: [...list, { id: fresh('drop'), heightM: at, outcome }] });
    setHeight(undefined);
  };
  return (
    <>
      {list.map(({ id, heightM: height, outcome }) => (
        <div key={id} className={fieldsCss.field}>
          <span>{formatText(height, 'distanceM', reader)}</span>
          <span>
            <b>{outcome}</b>{' '}
            <IconAct
              icon="takeOut"
              label="Take this drop out"
              onClick={() => onChange({ drops: list.filter((one) => one.id !== id) })}
            />
          </span>
        </div>
      ))}
      <QuantityField
        key={list.length}
        label="Dropped from"
        quantity="distanceM"
        limits={{ above: 0, to: 50 }}
        value={heightM}
        usual={at}
        onChange={setHeight}
      />
      <Box className={sheetsCss.counter} sx={{ mt: 1, gridTemplateColumns: '1fr 1fr 1fr' }}>
        {DROP_OUTCOMES.map((outcome) => (
          <Button key={outcome} variant={outcome === 'failed' ? 'stop' : 'go'} onClick={() => note(outcome)}>
            {OUTCOME_WORDS[outcome]}
          </Button>
        ))}
      </Box>
      {list.length > 0 ? (
        <Typography color="textSecondary">
          {heldM === undefined
            ? 'It held no height yet'
            : `It holds ${formatText(heldM, 'distanceM', reader)}`}
          {failedM === undefined ? '' : `, and fails at ${formatText(failedM, 'distanceM', reader)}`}.
        </Typography>
      ) : null}
    </>
  );
}
