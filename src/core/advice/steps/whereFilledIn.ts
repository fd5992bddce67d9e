import { type Segment, SEGMENTS } from '../../verdict/engine/segments';

/** Sections of the document that another segment's page shows. */
const RECORDS: Readonly<Record<string, Segment>> = { runs: 'field', failures: 'learn', copies: 'print' };

/** Parts of a section that another segment's page asks for. */
const PARTS: Readonly<Record<string, Segment>> = { 'brief.place': 'drive', 'brief.track': 'drive' };

/** The segment on which a missing figure is filled in: that of its section of the document. */
export function whereFilledIn(missing: string): Segment {
  const [section, part] = missing.split(/[.:]/) as [string, string | undefined];
  return (
    PARTS[`${section}.${part}`] ??
    SEGMENTS.find((segment) => segment === section) ??
    RECORDS[section] ??
    'brief'
  );
}
