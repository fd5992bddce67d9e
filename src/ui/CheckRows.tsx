'use client';

import checksCss from '@/ui/checks.module.css';
import Typography from '@mui/material/Typography';
import ButtonBase from '@mui/material/ButtonBase';
import Button from '@mui/material/Button';
import { effectText, readingOf, remedyText, whyOf } from '@/words/checkWords';
import { checkTitle } from '@/words/checks/names';
import type { Check, Remedy } from '@/core/verdict/engine/check';
import { MarginBar } from './MarginBar';
import { useReader } from './reader';
import { stepsLater } from '@/words/stepsLater';
import { StateMark } from './StateMark';
import { STATE_WORDS } from '@/words/states';
import { useWorking } from './working';

interface CheckRowsProps {
  checks: readonly Check[];
  locked: boolean;
  onApply(remedy: Remedy): void;
  onTry(remedy: Remedy): void;
}

/** The checks of a segment: state in shape and word, value against limit, why, and what would help. */
export function CheckRows({ checks, locked, onApply, onTry }: CheckRowsProps) {
  'use memo';
  return (
    <section className={checksCss.checks} aria-label="Checks">
      {checks.map((check) => (
        <CheckRow key={check.id} check={check} locked={locked} onApply={onApply} onTry={onTry} />
      ))}
    </section>
  );
}

function CheckRow({ check, locked, onApply, onTry }: { check: Check } & Omit<CheckRowsProps, 'checks'>) {
  'use memo';
  const { open } = useWorking();
  const { reader } = useReader();
  const title = checkTitle(check);
  return (
    <div className={checksCss.check} data-check={check.id} data-state={check.state}>
      <StateMark state={check.state} />
      <ButtonBase
        className={checksCss.title}
        onClick={() => open({ title, steps: stepsLater(check.working, reader) })}
        disabled={check.working === undefined}
      >
        {title} <span className={checksCss.state}>{STATE_WORDS[check.state]}</span>
      </ButtonBase>
      <Reading check={check} />
      <MarginBar check={check} />
      <span className={checksCss.why}>
        {whyOf(check, reader)}
        {check.surface && check.state !== 'unknown' ? ` (${check.surface.toLowerCase()})` : ''}
      </span>
      {check.remedies.length > 0 ? (
        <div className={checksCss.remedies} data-testid="remedies">
          {check.remedies.map((remedy) => (
            <span key={JSON.stringify(remedy.patch)} className={checksCss.remedy}>
              <Button
                color="success"
                disabled={locked}
                title={locked ? 'This revision is closed' : undefined}
                onClick={() => onApply(remedy)}
              >
                {remedyText(remedy, reader)}
              </Button>
              <Typography component="span" color="textSecondary">
                {effectText(check, remedy, reader)}
              </Typography>
              <Button variant="link" color="secondary" onClick={() => onTry(remedy)}>
                compare
              </Button>
            </span>
          ))}
        </div>
      ) : null}
    </div>
  );
}

function Reading({ check }: { check: Check }) {
  'use memo';
  const { reader } = useReader();
  const reading = readingOf(check, reader);
  if (!reading)
    return (
      <Typography component="span" color="textSecondary" className={checksCss.reading}>
        —
      </Typography>
    );
  const { number, unit, against } = reading;
  return (
    <span className={checksCss.reading}>
      {number}
      {unit ? <small> {unit}</small> : null}
      {against ? <small className={checksCss.against}>{against}</small> : null}
    </span>
  );
}
