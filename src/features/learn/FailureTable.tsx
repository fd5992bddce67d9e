'use client';

import Button from '@mui/material/Button';
import { useMemo } from 'react';
import type { FailureRecord, Versioned } from '@/core/car/records/records';
import type { LongColumn } from '@/ui/longTable/column';
import { LongTable } from '@/ui/longTable/LongTable';
import { When } from '@/ui/When';
import { failedHow, failureStands } from '@/words/learn/failureModes';
import { useBuild } from '../session/BuildContext';

type Failure = Versioned<FailureRecord>;

const columnsFor = (letterOf: (id: string) => string): LongColumn<Failure>[] => [
  { field: 'part', name: 'Part', width: 150, grows: true, value: ({ partName }) => partName },
  { field: 'how', name: 'How', width: 150, grows: true, value: failedHow },
  {
    field: 'when',
    name: 'When',
    width: 130,
    date: true,
    value: ({ occurredAt }) => occurredAt,
    show: ({ occurredAt }) => <When at={occurredAt} />,
  },
  { field: 'revision', name: 'Revision', width: 90, value: ({ revisionId }) => letterOf(revisionId) },
  { field: 'hours', name: 'On the part', width: 110, quantity: 'hours', value: ({ hours }) => hours },
  { field: 'stands', name: 'State', width: 100, value: failureStands },
  { field: 'fix', name: 'Fix', width: 180, grows: true, value: ({ fix }) => fix },
];

/** Every failure in a line, to sort and filter; one is opened by its button. */
export function FailureTable({ onOpen }: { onOpen(id: string): void }) {
  const { failures, revisions } = useBuild();
  const columns = useMemo(
    () => columnsFor((id) => revisions.find((one) => one.id === id)?.letter ?? ''),
    [revisions],
  );
  return (
    <LongTable
      label="Failures"
      testId="failure-table"
      rows={failures}
      columns={columns}
      latest="when"
      acts={({ id, partName }) => (
        <Button variant="link" aria-label={`Open the failure of ${partName}`} onClick={() => onOpen(id)}>
          open
        </Button>
      )}
    />
  );
}
