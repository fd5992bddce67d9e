'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Thresholds as Margins } from '@/core/verdict/engine/check';
import { DEFAULT_THRESHOLDS } from '@/core/verdict/evaluate';
import { CHECKS } from '@/core/verdict/registry';
import { checkTitle } from '@/words/checks/names';
import { USUAL_LIMIT_MINUTES } from '@/core/physics/statistics/spares';
import { QuantityField } from '@/ui/QuantityField';
import { callApi, sentenceOf } from '../api';

/** Under which margin a check is called tight in this workshop. */
export function Thresholds({
  initial,
  printAheadMinutes,
}: {
  initial: Margins;
  printAheadMinutes: number | undefined;
}) {
  const [margins, setMargins] = useState<Record<string, number | undefined>>({
    ...DEFAULT_THRESHOLDS,
    ...initial,
  });
  const [ahead, setAhead] = useState(printAheadMinutes);
  const [said, setSaid] = useState<string>();
  const save = async () => {
    const own = Object.fromEntries(
      Object.entries(margins).filter(
        ([id, value]) => value !== undefined && value !== DEFAULT_THRESHOLDS[id],
      ),
    );
    try {
      await callApi('PUT', '/api/settings', {
        thresholds: own,
        printAheadMinutes: ahead ?? USUAL_LIMIT_MINUTES,
      });
      setSaid('Saved.');
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  return (
    <Box
      component="form"
      sx={{ maxWidth: 460 }}

      aria-label="Margins"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Typography color="textSecondary" sx={{ m: '6px 0' }}>
        A check under a margin of 1 fails. Under the figure here it is tight.
      </Typography>
      {CHECKS.filter(({ tightUnder }) => tightUnder !== undefined).map(({ id }) => (
        <QuantityField
          key={id}
          label={checkTitle({ id })}
          quantity="coefficient"
          value={margins[id]}
          limits={{ from: 1, to: 10 }}
          example={DEFAULT_THRESHOLDS[id]}
          onChange={(value) => setMargins((all) => ({ ...all, [id]: value }))}
        />
      ))}
      <Typography color="textSecondary" sx={{ m: '10px 0 6px' }}>
        A part whose print takes longer than this is named for printing before it breaks.
      </Typography>
      <QuantityField
        label="Printed ahead when over"
        quantity="minutes"
        value={ahead}
        limits={{ from: 0, to: 10_000 }}
        usual={USUAL_LIMIT_MINUTES}
        onChange={setAhead}
      />
      <Row sx={{ mt: 1 }}>
        <Button variant="contained" type="submit">
          Save
        </Button>
        <span role="status">{said}</span>
      </Row>
    </Box>
  );
}
