'use client';

import { Problem } from '@/ui/controls/Problem';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { DeletedThing } from '@/core/car/records/deleted';
import { Fold } from '@/ui/controls/Fold';
import { When } from '@/ui/When';
import { deletedWords } from '@/words/deletedWords';
import { callApi, sentenceOf } from '../api';

/** What was deleted and can still be brought back. */
export function Deleted({ things }: { things: readonly DeletedThing[] }) {
  const router = useRouter();
  const [problem, setProblem] = useState<string>();
  if (things.length === 0) return null;
  const restore = async ({ kind, id }: DeletedThing) => {
    setProblem(undefined);
    try {
      await callApi('POST', `/api/${kind}/${id}/restore`);
      router.refresh();
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <Fold title={`Deleted in the last 30 days (${things.length})`} sx={{ mt: 24 }}>
      <Problem>{problem}</Problem>
      <List dense aria-label="Deleted">
        {things.map((thing) => (
          <ListItem key={`${thing.kind}-${thing.id}`} disableGutters>
            <span>
              {deletedWords(thing)}{' '}
              <Typography component="span" color="textSecondary">
                deleted <When at={thing.deletedAt} time />
              </Typography>
            </span>
            <Button aria-label={`Restore: ${deletedWords(thing)}`} onClick={() => void restore(thing)}>
              Restore
            </Button>
          </ListItem>
        ))}
      </List>
    </Fold>
  );
}
