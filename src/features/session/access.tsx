'use client';

import { createContext, type ReactNode, useContext } from 'react';
import type { Person, Role } from '@/core/car/records/roles';
import { heldAt, SHARED_META } from '../api';

/** In which workshop a page stands, and what whoever reads it may do there. */
export interface Access {
  workshopId: string;
  workshop: string;
  role: Role;
  /** Nobody in particular in the demo, which has no accounts. */
  person?: Person | undefined;
  /** A build that is shown by a link to whoever has it. */
  shared?: { token: string; mayCopy: boolean };
}

const AccessContext = createContext<Access | undefined>(undefined);

/** The workshop of the pages below; `callApi` names it to the server from the page's head. */
export const AccessProvider = ({ access, children }: { access: Access; children: ReactNode }) => (
  <AccessContext.Provider value={access}>
    {access.shared ? (
      <meta name={SHARED_META} content={access.shared.token} />
    ) : (
      <meta name="workshop" content={access.workshopId} />
    )}
    {children}
  </AccessContext.Provider>
);

/** The address of a photograph or a track by its hash, for what is drawn on the server too. */
export function useFileAddress(): (hash: string) => string {
  const access = useAccess();
  return (hash) => heldAt('files', hash, access?.shared?.token, access?.workshopId);
}

/** Whether whoever reads the page may only look: nothing is offered to them that would be refused. */
export const useLooksOn = (): boolean => useAccess()?.role === 'viewer';

/** What is for those who work on the car; who only looks sees what stands instead. */
export const Working = ({ instead = null, children }: { instead?: ReactNode; children: ReactNode }) =>
  useLooksOn() ? instead : children;

/** Nothing where no workshop is known, as in a test of one part. */
export const useAccess = (): Access | undefined => useContext(AccessContext);
