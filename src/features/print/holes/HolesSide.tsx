'use client';

import { Page } from '@/ui/layout/Page';
import frameCss from '@/ui/layout/frame.module.css';
import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { Select } from '@/ui/controls/Select';
import Button from '@mui/material/Button';
import { type ReactNode, useState } from 'react';
import type { HolePattern } from '@/core/car/document/print';
import { newId } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { Bench, Readings } from '../../frame/Guarded';
import { HolePatternSide } from './HolePatternSide';

/** Hole patterns measured off what is there already. */
export function HolesSide({ tabs }: { tabs: ReactNode }) {
  const { document, edit, closed } = useBuild();
  const patterns = document.print.patterns ?? [];
  const [asked, choose] = useState<string>();
  const pattern = patterns.find(({ id }) => id === asked) ?? patterns[0];
  const add = () => {
    const fresh: HolePattern = {
      id: `pattern-${newId().slice(0, 8)}`,
      name: `Pattern ${patterns.length + 1}`,
      holes: [
        { id: 'A', diameterMm: 3 },
        { id: 'B', diameterMm: 3 },
      ],
      readings: [],
    };
    edit([{ path: ['print', 'patterns'], value: [...patterns, fresh] }]);
    choose(fresh.id);
  };
  const picker = (
    <section className={frameCss.group} aria-label="Hole patterns">
      <h2>Hole patterns</h2>
      {patterns.length > 0 ? (
        <div className={fieldsCss.pick}>
          <Select
            look="strong"
            aria-label="Choose a pattern"
            value={pattern?.id ?? ''}
            onChange={(event) => choose(event.target.value)}
          >
            {patterns.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
        </div>
      ) : null}
      {closed ? null : (
        <Button sx={{ mt: 0.75 }} onClick={add}>
          Measure a pattern
        </Button>
      )}
    </section>
  );
  if (pattern) return <HolePatternSide key={pattern.id} pattern={pattern} picker={picker} tabs={tabs} />;
  return (
    <Page>
      <Bench>{picker}</Bench>
      <Readings>
        {tabs}
        <Typography variant="answer">
          Measure a hole pattern off what is there already, and print what fits it.
        </Typography>
        <Box component="p" sx={{ mt: 1, maxWidth: 640 }}>
          A caliper across pairs of holes is enough: outside or inside jaws, in any order. The page places the
          holes, says how sure it is, names the reading that is wrong, and what to measure next.
        </Box>
      </Readings>
    </Page>
  );
}
