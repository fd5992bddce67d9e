import { useState } from 'react';
import { useBuild } from '../../session/BuildContext';

/** An aid as it is tried: in the build where the build has it, else on this page alone. */
export interface Aid<T extends object> {
  aid: T;
  inBuild: boolean;
  closed: boolean;
  set(change: Partial<T>): void;
  end(): void;
  putIn(): void;
  takeOut(): void;
}

export function useAid<T extends object>(key: 'yaw' | 'traction', usual: T): Aid<T> {
  const { document, edit, session, closed } = useBuild();
  const own = document.suspension.aids?.[key] as T | undefined;
  const [tried, setTried] = useState<T>(usual);
  const path = ['suspension', 'aids', key];
  const aid = own ? { ...usual, ...own } : tried;
  return {
    aid,
    closed,
    inBuild: own !== undefined,
    set: (change) => {
      if (own && !closed)
        edit(
          Object.entries(change).map(([name, value]) => ({ path: [...path, name], value })),
          `${key}-${Object.keys(change)[0]}`,
        );
      else if (!own) setTried({ ...tried, ...change });
    },
    end: () => session.endStep(),
    putIn: () => edit([{ path, value: tried }]),
    takeOut: () => {
      setTried(aid);
      edit([{ path, value: undefined }]);
    },
  };
}
