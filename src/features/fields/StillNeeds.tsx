'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { Row } from '@/ui/layout/Row';
import { needName, notYetWords } from '@/words/needs';
import { sideToLook } from '../frame/jump/fieldSides';
import { segmentPath } from '../frame/segments';
import { useBuild } from '../session/BuildContext';

/** In place of the answer: what is missing, and the way to where the first of it is filled in. */
export function StillNeeds({ missing }: { missing: readonly string[] }) {
  const { root, revision, closed } = useBuild();
  const [first] = missing;
  const placeOf = (need: string) => {
    // what is said of a need after its path does not tell the field
    const path = need.split(':')[0]!;
    const { segment, side } = sideToLook(path);
    const view = side === undefined ? '' : `view=${side}&`;
    return `${segmentPath(root, revision.letter, segment)}?${view}field=${encodeURIComponent(path)}`;
  };
  return (
    <div>
      <Typography variant="answer">{notYetWords(missing)}</Typography>
      {first === undefined || closed ? null : (
        <Row sx={{ mt: 1 }}>
          <Button component={Link} variant="contained" href={placeOf(first)}>
            Fill in: {needName(first)}
          </Button>
        </Row>
      )}
    </div>
  );
}
