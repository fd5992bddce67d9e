/** What the ids of a family's checks begin with: `power.rail` of `power.rail:own`, `parts` of `parts.arm`. */
export const familyOf = (id: string): string =>
  id.includes(':') ? id.slice(0, id.indexOf(':')) : id.slice(0, id.indexOf('.'));
