'use client';

import Typography from '@mui/material/Typography';
import { PASS_TICKS, type RunReport } from '@/core/car/records/report';
import { passList } from '@/core/verdict/passList';
import { Fold } from '@/ui/controls/Fold';
import { Tick } from '@/ui/controls/Tick';
import fieldsCss from '@/ui/fields.module.css';
import { StateMark } from '@/ui/StateMark';
import { useReader } from '@/ui/reader';
import { checkTitle } from '@/words/checks/names';
import { whyOf } from '@/words/checkWords';
import { PASS_TICK_WORDS, passSentence } from '@/words/driving/place';
import { useBuildChecks } from '../../session/BuildContext';

/** Go or no go before a fast pass; the run remembers what was ticked. */
export function PassListFold({
  report,
  onReport,
}: {
  report: RunReport;
  onReport(change: Partial<RunReport>): void;
}) {
  const { ticked = [] } = report;
  const { reader } = useReader();
  const found = passList(useBuildChecks(), ticked);
  const toggle = (tick: (typeof PASS_TICKS)[number]) => {
    const next = PASS_TICKS.filter((one) => (one === tick) !== ticked.includes(one));
    onReport({ ticked: next.length > 0 ? next : undefined });
  };
  return (
    <Fold title={`Before a fast pass: ${found.go ? 'go' : 'no go yet'}`}>
      {found.checks.map((check) => (
        <div key={check.id} className={fieldsCss.field}>
          <span>
            <StateMark state={check.state} /> <b>{checkTitle(check)}</b>
            <Typography variant="small" component="div" color="textSecondary">
              {whyOf(check, reader)}
            </Typography>
          </span>
        </div>
      ))}
      {PASS_TICKS.map((tick) => (
        <div key={tick} className={fieldsCss.field}>
          <label>
            <Tick checked={ticked.includes(tick)} onChange={() => toggle(tick)} /> {PASS_TICK_WORDS[tick]}
          </label>
        </div>
      ))}
      <Typography variant="note" role="status" sx={{ mt: 0.75, mb: 1.5 }}>
        {passSentence(found)} Local rules go first.
      </Typography>
    </Fold>
  );
}
