import { useEffect, useMemo, useState } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { Check, Thresholds } from '@/core/verdict/engine/check';
import { isHeavy } from '@/core/verdict/states';
import { keptStates } from '@/core/verdict/keptStates';
import { workerOf } from '@/workers/clients';

/** The worker starts when the change is on screen, and not at all for a change that is followed by another. */
const AFTER_PAINT_MS = 60;

interface Full {
  document: BuildDocument;
  checks: readonly Check[];
}

/**
 * At once the states of the quick checks on one surface, the others as they were; over all surfaces and with
 * remedies as soon as the worker has them.
 */
export function useChecks(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  thresholds: Thresholds,
): readonly Check[] {
  const quick = useMemo(() => keptStates(document, surface, thresholds), [document, surface, thresholds]);
  const [full, setFull] = useState<Full>();

  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      void workerOf('checks')
        .evaluateBuild(document, thresholds)
        .then((checks) => {
          if (current) setFull({ document, checks });
        });
    }, AFTER_PAINT_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [document, thresholds]);

  return useMemo(() => {
    if (!full) return quick;
    if (full.document === document) return full.checks;
    return quick.map((check) =>
      isHeavy(check.id) ? (full.checks.find(({ id }) => id === check.id) ?? check) : check,
    );
  }, [full, quick, document]);
}
