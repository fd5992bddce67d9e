'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import type { Thresholds as Margins } from '@/core/verdict/engine/check';
import { DEFAULT_THRESHOLDS } from '@/core/verdict/states';
import { FACES } from '@/core/verdict/faces';
import type { WorkshopSettings } from '@/core/verdict/settings';
import { checkTitle } from '@/words/checks/names';
import { USUAL_LIMIT_MINUTES } from '@/core/physics/statistics/spares';
import { QuantityField } from '@/ui/QuantityField';
import { callApi, sentenceOf } from '../api';
import { useSheet } from '../fields/useSheet';

interface Typed {
  /** In the order of the checks that have one. */
  margins: (number | undefined)[];
  printAheadMinutes?: number | undefined;
}

const JUDGED = FACES.filter(({ tightUnder }) => tightUnder !== undefined).map(({ id }) => id);

/** Of what is typed that which differs from the usual. */
const settingsOf = ({ margins, printAheadMinutes }: Typed): WorkshopSettings => ({
  thresholds: Object.fromEntries(
    JUDGED.flatMap((id, at) => {
      const margin = margins[at];
      return margin === undefined || margin === DEFAULT_THRESHOLDS[id] ? [] : [[id, margin]];
    }),
  ),
  printAheadMinutes: printAheadMinutes ?? USUAL_LIMIT_MINUTES,
});

/** Under which margin a check is called tight in this workshop. */
export function Thresholds({
  initial,
  printAheadMinutes,
}: {
  initial: Margins;
  printAheadMinutes: number | undefined;
}) {
  const { control, handleSubmit, forget } = useSheet<Typed>({
    schema: () => import('@/core/verdict/settings.schema').then((found) => found.settingsSchema),
    empty: { margins: JUDGED.map((id) => initial[id] ?? DEFAULT_THRESHOLDS[id]), printAheadMinutes },
    toSend: settingsOf,
    keptAs: 'margins',
  });
  const [said, setSaid] = useState<string>();
  const save = async (typed: Typed) => {
    try {
      await callApi('PUT', '/api/settings', settingsOf(typed));
      forget();
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
      onSubmit={(event) => void handleSubmit(save)(event)}
    >
      <Typography color="textSecondary" sx={{ m: '6px 0' }}>
        A check under a margin of 1 fails. Under the figure here it is tight.
      </Typography>
      {JUDGED.map((id, at) => (
        <Controller
          key={id}
          name={`margins.${at}`}
          control={control}
          render={({ field }) => (
            <QuantityField
              label={checkTitle({ id })}
              quantity="coefficient"
              value={field.value}
              limits={{ from: 1, to: 10 }}
              example={DEFAULT_THRESHOLDS[id]}
              onChange={field.onChange}
            />
          )}
        />
      ))}
      <Typography color="textSecondary" sx={{ m: '10px 0 6px' }}>
        A part whose print takes longer than this is named for printing before it breaks.
      </Typography>
      <Controller
        name="printAheadMinutes"
        control={control}
        render={({ field }) => (
          <QuantityField
            label="Printed ahead when over"
            quantity="minutes"
            value={field.value}
            limits={{ from: 0, to: 10_000 }}
            usual={USUAL_LIMIT_MINUTES}
            onChange={field.onChange}
          />
        )}
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
