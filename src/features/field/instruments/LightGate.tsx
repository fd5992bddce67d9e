import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import { useEffect, useEffectEvent, useState } from 'react';
import { type Gated, GateTimer } from '@/core/physics/instruments/gateTimer';
import { GATE_PROBLEM_WORDS } from '@/words/bench/instrumentWords';
import { Instruments } from './Instruments';
import { isFirst, listen } from './instruments';

/** A light gate: while it is armed each car through both beams is an attempt by itself. */
export function LightGate({ onTime }: { onTime(timeS: number): void }) {
  const [armed, arm] = useState(false);
  const [problem, setProblem] = useState<Extract<Gated, { problem: string }>['problem']>();
  const timed = useEffectEvent((gated: Gated) => {
    if ('problem' in gated) return setProblem(gated.problem);
    setProblem(undefined);
    onTime(gated.timeS);
  });
  useEffect(() => {
    if (!armed) return;
    const timer = new GateTimer();
    return listen((reading) => {
      const gated = isFirst(reading) ? timer.hear(reading) : undefined;
      if (gated) timed(gated);
    });
  }, [armed]);
  return (
    <Instruments kind="gate">
      {() => (
        <>
          <Button variant={armed ? 'stop' : 'go'} onClick={() => arm(!armed)}>
            {armed ? 'Disarm the gate' : 'Arm the gate'}
          </Button>
          <Typography color="textSecondary">
            {armed
              ? 'Armed: every pass through both beams is noted by itself.'
              : 'The beams stand the distance apart; armed, each pass is an attempt.'}
          </Typography>
          {problem ? <Note tone="caution">{GATE_PROBLEM_WORDS[problem]}</Note> : null}
        </>
      )}
    </Instruments>
  );
}
