import { useEffect, useState } from 'react';
import type { LogRoles } from '@/core/physics/logs/logRead';
import { workerOf } from '@/workers/clients';
import type { LaidOn } from '@/workers/logs';
import { bytesOf, type LogSource } from './useLog';

/** Where another log, or a track, lies on this one. */
export function useLaidOn(
  source: LogSource | undefined,
  roles: LogRoles | undefined,
  other: (LogSource & { kind: 'log' | 'track' }) | undefined,
): LaidOn | undefined {
  const [laid, setLaid] = useState<{ key: string; found: LaidOn }>();
  const key = `${source?.hash ?? ''} ${other?.hash ?? ''}`;
  const { hash, blob } = source ?? {};
  const { hash: otherHash, blob: otherBlob, kind } = other ?? {};
  useEffect(() => {
    if (hash === undefined || otherHash === undefined || kind === undefined) return;
    let current = true;
    void (async () => {
      const found = await workerOf('field').laidOn(
        { kind: 'log', bytes: await bytesOf({ hash, blob }), roles },
        { kind, bytes: await bytesOf({ hash: otherHash, blob: otherBlob }) },
      );
      if (current && !('refused' in found)) setLaid({ key, found });
    })().catch(() => undefined);
    return () => {
      current = false;
    };
  }, [hash, blob, otherHash, otherBlob, kind, roles, key]);
  return other && laid?.key === key ? laid.found : undefined;
}
