import { type Segment, SEGMENTS } from '../../verdict/engine/segments';

/** Sections of the document that another segment's page shows. */
const RECORDS: Readonly<Record<string, Segment>> = { runs: 'field', failures: 'learn', copies: 'print' };

/** The segment on which a missing figure is filled in: that of its section of the document. */
export function whereFilledIn(missing: string): Segment {
  const section = missing.split(/[.:]/)[0]!;
  return SEGMENTS.find((segment) => segment === section) ?? RECORDS[section] ?? 'brief';
}
