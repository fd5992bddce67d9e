'use client';

import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';
import type { WorkingStep } from '@/words/workingStep';
import { Quantity } from './Quantity';

export interface Working {
  readonly title: string;
  readonly steps: readonly WorkingStep[];
}

interface WorkingValue {
  shown: Working | undefined;
  open(working: Working): void;
  close(): void;
}

const WorkingContext = createContext<WorkingValue>({
  shown: undefined,
  open: () => undefined,
  close: () => undefined,
});

export function WorkingProvider({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState<Working>();
  const value = useMemo(() => ({ shown, open: setShown, close: () => setShown(undefined) }), [shown]);
  return <WorkingContext.Provider value={value}>{children}</WorkingContext.Provider>;
}

export const useWorking = () => useContext(WorkingContext);

/** Formula by formula, beside the page and not over it. */
export function WorkingPanel({ fallback }: { fallback?: Working }) {
  const { shown, close } = useWorking();
  const working = shown ?? fallback;
  if (!working) return null;
  return (
    <section className="working" aria-label={`Working: ${working.title}`} data-testid="working">
      <h2>
        Working: {working.title}
        {shown ? (
          <button type="button" className="plain" onClick={close}>
            close
          </button>
        ) : (
          <span className="quiet" style={{ fontWeight: 400, fontSize: 12 }}>
            tap any underlined figure for its own
          </span>
        )}
      </h2>
      <table>
        <tbody>
          {working.steps.map((step) => (
            <tr key={step.label}>
              <td>{step.label}</td>
              <td className="formula">{step.formula}</td>
              <td className="value">
                {step.value !== undefined && step.quantity ? (
                  <Quantity value={step.value} quantity={step.quantity} />
                ) : null}
              </td>
              <td className="source">{step.source}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
