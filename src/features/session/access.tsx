'use client';

import { createContext, type ReactNode, useContext } from 'react';
import type { Person, Role } from '@/core/car/records/roles';

/** In which workshop a page stands, and what whoever reads it may do there. */
export interface Access {
  workshopId: string;
  workshop: string;
  role: Role;
  /** Nobody in particular in the demo, which has no accounts. */
  person?: Person | undefined;
}

const AccessContext = createContext<Access | undefined>(undefined);

/** The workshop of the pages below; `callApi` names it to the server from the page's head. */
export const AccessProvider = ({ access, children }: { access: Access; children: ReactNode }) => (
  <AccessContext.Provider value={access}>
    <meta name="workshop" content={access.workshopId} />
    {children}
  </AccessContext.Provider>
);

/** Nothing where no workshop is known, as in a test of one part. */
export const useAccess = (): Access | undefined => useContext(AccessContext);
