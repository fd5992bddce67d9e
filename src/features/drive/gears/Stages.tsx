'use client';

import gearsCss from '@/features/drive/gears/gears.module.css';
import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { Hidden } from '@/ui/layout/Hidden';
import { IconAct } from '@/ui/controls/IconAct';
import { TextInput } from '@/ui/controls/TextInput';
import IconButton from '@mui/material/IconButton';
import { Fold } from '@/ui/controls/Fold';
import { Select } from '@/ui/controls/Select';
import { useRef, useState } from 'react';
import { drivenOf, overallRatio } from '@/core/car/document/drive';
import { type Stage, stageRatio } from '@/core/car/stages/stage';
import type { Patch } from '@/core/base/patch';
import { itemsOf } from '@/core/car/library/items';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { libraryOptions } from '../../fields/libraryOptions';
import { useReader } from '@/ui/reader';
import { useArrowSteps } from '@/ui/useArrowSteps';
import { useSelectOnEntry } from '@/ui/useSelectOnEntry';
import { newId } from '../../api';
import { AddFrom } from '../../fields/AddFrom';
import { useBuild } from '../../session/BuildContext';
import { DocumentField, Group } from '../../fields/fields';

const TEETH = {
  planetary: ['Sun teeth', 'Ring teeth'],
  differential: ['Planet teeth', 'Side gear teeth'],
  default: ['Pinion teeth', 'Wheel teeth'],
} as const;

/** Reduction stages with their teeth; the ratio is turns of the motor a turn of the wheel. */
export function Stages({ withAxle = false }: { withAxle?: boolean }) {
  'use memo';
  const { document, library, edit, closed, ghost } = useBuild();
  const { reader } = useReader();
  const ratio = overallRatio(document.drive);
  const before = ghost ? overallRatio(ghost.document.drive) : undefined;
  const stageKinds = itemsOf(library, 'stage');
  const add = (itemId: string) => {
    const item = stageKinds.find(({ id }) => id === itemId);
    if (!item) return;
    const id = `stage-${newId().slice(0, 8)}`;
    edit([
      {
        path: ['drive', 'stages', id],
        value: { id, kind: item.data.kind, efficiency: item.data.efficiency },
      },
    ]);
  };
  return (
    <Group
      title="Reduction"
      aside={
        ratio === undefined ? (
          'no ratio yet'
        ) : (
          <span data-testid="ratio">
            {before !== undefined && before !== ratio ? `${formatNumber(before, reader.locale, 4)} → ` : ''}
            {formatNumber(ratio, reader.locale, 4)} : 1
          </span>
        )
      }
    >
      {document.drive.stages.map((stage, index) => (
        <StageRow
          key={stage.id}
          stage={stage}
          index={index}
          withAxle={withAxle && drivenOf(document.drive).length > 1}
        />
      ))}
      {closed || document.drive.stages.length >= 8 ? null : (
        <AddFrom
          label="Add a stage"
          path="drive.stages"
          options={libraryOptions(stageKinds, reader)}
          onAdd={add}
        />
      )}
      <Fold title="Efficiencies">
        {document.drive.stages.map(({ id, kind }, index) => (
          <DocumentField
            key={id}
            path={['drive', 'stages', id, 'efficiency']}
            label={`Stage ${index + 1}, ${kind}`}
          />
        ))}
        <DocumentField path={['drive', 'shaftEfficiency']} example={0.97} />
      </Fold>
    </Group>
  );
}

function StageRow({ stage, index, withAxle }: { stage: Stage; index: number; withAxle: boolean }) {
  'use memo';
  const { edit, closed } = useBuild();
  const { reader } = useReader();
  const ratio = stageRatio(stage);
  const names = TEETH[stage.kind === 'planetary' || stage.kind === 'differential' ? stage.kind : 'default'];
  const path = (key: string) => ['drive', 'stages', stage.id, key];
  const plain = stage.kind !== 'direct' && (ratio === undefined || ratio === stage.ratio);
  // a plain ratio ends where both counts say it
  const withTeeth = (key: 'pinionTeeth' | 'wheelTeeth', value: number | undefined): Patch => [
    { path: path(key), value },
    ...(stage.ratio !== undefined && stageRatio({ ...stage, [key]: value, ratio: undefined }) !== undefined
      ? [{ path: path('ratio'), value: undefined }]
      : []),
  ];
  return (
    <div className={gearsCss.stage} role="group" aria-label={`Stage ${index + 1}, ${stage.kind}`}>
      <span>{stage.kind}</span>
      {stage.kind === 'direct' ? (
        <Typography component="span" color="textSecondary" sx={{ gridColumn: '2 / 5' }}>
          no gears
        </Typography>
      ) : (
        <>
          <TeethStepper
            label={`Stage ${index + 1}: ${names[0].toLowerCase()}`}
            value={stage.pinionTeeth}
            disabled={closed}
            onChange={(value) => edit(withTeeth('pinionTeeth', value), `${stage.id}-pinion`)}
          />
          <Typography component="span" color="textSecondary">
            to
          </Typography>
          <TeethStepper
            label={`Stage ${index + 1}: ${names[1].toLowerCase()}`}
            value={stage.wheelTeeth}
            disabled={closed}
            onChange={(value) => edit(withTeeth('wheelTeeth', value), `${stage.id}-wheel`)}
          />
        </>
      )}
      <span className={gearsCss.total}>
        {ratio === undefined ? '' : formatNumber(ratio, reader.locale, 3)}
      </span>
      <IconAct
        icon="takeOut"
        label={`Take stage ${index + 1} out`}
        disabled={closed}
        onClick={() => edit([{ path: ['drive', 'stages', stage.id], value: undefined }])}
      />
      {plain ? (
        <div className={gearsCss.serves}>
          <DocumentField path={path('ratio')} label="or a plain ratio" />
        </div>
      ) : null}
      {withAxle ? (
        <label className={gearsCss.serves}>
          serves{' '}
          <Select
            look="bare"
            aria-label={`Stage ${index + 1} serves`}
            value={stage.on ?? ''}
            disabled={closed}
            onChange={(event) => edit([{ path: path('on'), value: event.target.value || undefined }])}
          >
            <option value="">both axles</option>
            <option value="front">the front axle</option>
            <option value="rear">the rear axle</option>
          </Select>
        </label>
      ) : null}
    </div>
  );
}

const MOST_TEETH = 1000;

/** A whole number with a button on either side; the arrow keys step too. */
function TeethStepper({
  label,
  value,
  disabled,
  onChange,
}: {
  label: string;
  value: number | undefined;
  disabled: boolean;
  onChange(value: number | undefined): void;
}) {
  'use memo';
  const { session } = useBuild();
  const [text, setText] = useState<string>();
  const before = useRef(value);
  const entry = useSelectOnEntry();
  const arrowSteps = useArrowSteps(() => session.endStep());
  const bad = text !== undefined && text !== '' && !isTeeth(text);
  const step = (by: number) => {
    setText(undefined);
    onChange(Math.max(1, Math.min(MOST_TEETH, (value ?? 20) + by)));
  };
  return (
    <span className={fieldsCss.stepper}>
      <IconButton
        tabIndex={-1}
        aria-label={`${label}: one less`}
        disabled={disabled}
        onClick={() => {
          session.endStep();
          step(-1);
        }}
      >
        −
      </IconButton>
      <TextInput
        aria-label={label}
        inputMode="numeric"
        disabled={disabled}
        value={text ?? value ?? ''}
        aria-invalid={bad}
        title={bad ? `${label}: a whole number from 1 to ${MOST_TEETH}` : undefined}
        onChange={(event) => {
          const typed = event.target.value.trim();
          setText(typed);
          if (typed === '') onChange(undefined);
          else if (isTeeth(typed)) onChange(Number(typed));
        }}
        onFocus={(event) => {
          before.current = value;
          entry.onFocus(event);
        }}
        onMouseUp={entry.onMouseUp}
        onBlur={() => {
          if (!bad) setText(undefined);
          session.endStep();
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            setText(undefined);
            if (before.current !== value) onChange(before.current);
          }
          arrowSteps(event);
          const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
          if (by === 0) return;
          event.preventDefault();
          step(by);
        }}
      />
      <IconButton
        tabIndex={-1}
        aria-label={`${label}: one more`}
        disabled={disabled}
        onClick={() => {
          session.endStep();
          step(1);
        }}
      >
        +
      </IconButton>
      {bad ? (
        <Hidden role="alert">
          {label}: a whole number from 1 to {MOST_TEETH}
        </Hidden>
      ) : null}
    </span>
  );
}

const isTeeth = (text: string) => /^\d{1,4}$/.test(text) && Number(text) >= 1 && Number(text) <= MOST_TEETH;
