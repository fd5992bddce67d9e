/** What somebody may do in a workshop, the most first. */
export const ROLES = ['owner', 'editor', 'viewer'] as const;
export type Role = (typeof ROLES)[number];

/** Whether one may do what another role may. */
export const mayAs = (role: Role, wanted: Role): boolean => ROLES.indexOf(role) <= ROLES.indexOf(wanted);

export const [SHORTEST_PASSWORD, LONGEST_PASSWORD] = [10, 128];

/** Somebody with an account. */
export interface Person {
  id: string;
  name: string;
  email: string;
}

export interface Member extends Person {
  role: Role;
  joinedAt: string;
}

/** A workshop as one of its members sees it in a list. */
export interface WorkshopOfPerson {
  id: string;
  name: string;
  role: Role;
}

/** A link by which one more may join. */
export interface Invitation {
  id: string;
  role: Role;
  invitedBy: string | undefined;
  createdAt: string;
  expiresAt: string;
}
