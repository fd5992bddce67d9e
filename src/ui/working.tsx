'use client';

import Typography from '@mui/material/Typography';
import checksCss from '@/ui/checks.module.css';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';
import type { WorkingStep } from '@/words/workingStep';
import { Quantity } from './Quantity';

export interface Working {
  readonly title: string;
  readonly steps: readonly WorkingStep[];
}

/** A working whose words are only fetched when somebody wants to read them. */
export interface WorkingLater {
  readonly title: string;
  readonly steps: readonly WorkingStep[] | (() => Promise<readonly WorkingStep[]>);
}

interface WorkingValue {
  shown: Working | undefined;
  open(working: WorkingLater): void;
  close(): void;
}

const WorkingContext = createContext<WorkingValue>({
  shown: undefined,
  open: () => undefined,
  close: () => undefined,
});

export function WorkingProvider({ children }: { children: ReactNode }) {
  'use memo';
  const [shown, setShown] = useState<Working>();
  const value = useMemo(
    () => ({
      shown,
      open: ({ title, steps }: WorkingLater) =>
        void (typeof steps === 'function' ? steps() : Promise.resolve(steps)).then((read) =>
          setShown({ title, steps: read }),
        ),
      close: () => setShown(undefined),
    }),
    [shown],
  );
  return <WorkingContext.Provider value={value}>{children}</WorkingContext.Provider>;
}

export const useWorking = () => useContext(WorkingContext);

/** Formula by formula, beside the page and not over it. */
export function WorkingPanel({ fallback }: { fallback?: Working }) {
  'use memo';
  const { shown, close } = useWorking();
  const working = shown ?? fallback;
  if (!working) return null;
  return (
    <section className={checksCss.working} aria-label={`Working: ${working.title}`} data-testid="working">
      <h2>
        Working: {working.title}
        {shown ? (
          <Button variant="text" onClick={close}>
            close
          </Button>
        ) : (
          <Typography component="span" variant="small" color="textSecondary">
            tap any underlined figure for its own
          </Typography>
        )}
      </h2>
      <Table>
        <TableBody>
          {working.steps.map((step) => (
            <TableRow key={step.label}>
              <TableCell>{step.label}</TableCell>
              <TableCell className={checksCss.formula}>{step.formula}</TableCell>
              <TableCell className={checksCss.value}>
                {step.value !== undefined && step.quantity ? (
                  <Quantity value={step.value} quantity={step.quantity} />
                ) : null}
              </TableCell>
              <TableCell className={checksCss.source}>{step.source}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </section>
  );
}
