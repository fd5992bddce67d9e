'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { callApi, COPY_DOOR, sentenceOf } from '../api';
import { useAccess } from '../session/access';
import { useBuild } from '../session/BuildContext';

const AT_A_DESK = { display: { xs: 'none', sm: 'inline' } };
const WHOLE = { flexShrink: 0, whiteSpace: 'nowrap' };

/** Whose build it is, and the way to make it one's own. */
export function SharedMark() {
  const { workshop, shared } = useAccess()!;
  const { root } = useBuild();
  const router = useRouter();
  const [copying, setCopying] = useState(false);
  const [problem, setProblem] = useState<string>();
  const copy = async () => {
    setProblem(undefined);
    setCopying(true);
    try {
      const { id } = await callApi<{ id: string }>('POST', COPY_DOOR, { token: shared!.token });
      router.push(`/builds/${id}`);
    } catch (error) {
      setProblem(sentenceOf(error));
      setCopying(false);
    }
  };
  return (
    <>
      <Typography
        component="span"
        variant="aside"
        noWrap
        sx={AT_A_DESK}
        title={`Shown by ${workshop}, to look at`}
      >
        shown by {workshop}, to look at
      </Typography>
      {shared!.mayCopy ? (
        <Button disabled={copying} onClick={() => void copy()} aria-label="copy it to my workshop" sx={WHOLE}>
          copy
          <Box component="span" sx={AT_A_DESK}>
            &nbsp;it to my workshop
          </Box>
        </Button>
      ) : (
        <Button
          component={Link}
          href={`/sign-in?to=${encodeURIComponent(root)}`}
          aria-label="sign in to copy it"
          sx={WHOLE}
        >
          sign in
          <Box component="span" sx={AT_A_DESK}>
            &nbsp;to copy it
          </Box>
        </Button>
      )}
      {problem ? (
        <Typography component="span" color="error" role="alert">
          {problem}
        </Typography>
      ) : null}
    </>
  );
}
