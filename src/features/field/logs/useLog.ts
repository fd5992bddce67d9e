import { useEffect, useMemo, useState } from 'react';
import type { LogRoles } from '@/core/physics/logs/logRead';
import { freeSpinsOf } from '@/core/worked/logs/motorOfLog';
import { useReader } from '@/ui/reader';
import { refusalText } from '@/words/refusals/problemOf';
import { workerOf } from '@/workers/clients';
import type { LogAnswer } from '@/workers/logs';
import { heldOfPage, sentenceOf } from '../../api';
import { useBuild } from '../../session/BuildContext';

export interface LogSource {
  hash: string;
  blob?: Blob | undefined;
}

export const bytesOf = async ({ hash, blob }: LogSource): Promise<Uint8Array> =>
  new Uint8Array(await (blob ?? (await fetch(heldOfPage('files', hash)))).arrayBuffer());

/** A log read off the page's thread, again whenever its columns or the car change. */
export function useLog(
  source: LogSource | undefined,
  asked: {
    roles: LogRoles | undefined;
    meterMilliOhm: number | undefined;
    polePairs: number | undefined;
  },
): { answer?: LogAnswer; problem?: string } {
  const { document, surface, runs, revision } = useBuild();
  const { reader } = useReader();
  const [found, setFound] = useState<{ answer?: LogAnswer; problem?: string }>({});
  const freeSpin = useMemo(
    () => freeSpinsOf(runs.filter(({ revisionId }) => revisionId === revision.id)),
    [runs, revision.id],
  );
  const { hash, blob } = source ?? {};
  const { roles, meterMilliOhm, polePairs } = asked;
  useEffect(() => {
    if (hash === undefined || (hash === '' && !blob)) return;
    let current = true;
    void (async () => {
      try {
        const answer = await workerOf('field').log(await bytesOf({ hash, blob }), {
          roles,
          document,
          surface,
          motor: {
            freeSpin,
            ...(polePairs === undefined ? {} : { polePairs }),
            ...(meterMilliOhm === undefined ? {} : { meterMilliOhm }),
          },
        });
        if (!current) return;
        setFound('refused' in answer ? { problem: `${refusalText(answer.refused, reader)}.` } : { answer });
      } catch (error) {
        if (current) setFound({ problem: sentenceOf(error) });
      }
    })();
    return () => {
      current = false;
    };
  }, [hash, blob, roles, document, surface, freeSpin, polePairs, meterMilliOhm, reader]);
  return source ? found : {};
}
