'use client';

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
    <section className="group" aria-label="Hole patterns">
      <h2>Hole patterns</h2>
      {patterns.length > 0 ? (
        <div className="pick">
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
        <Button style={{ marginTop: 6 }} onClick={add}>
          Measure a pattern
        </Button>
      )}
    </section>
  );
  if (pattern) return <HolePatternSide key={pattern.id} pattern={pattern} picker={picker} tabs={tabs} />;
  return (
    <main className="page readfirst">
      <Bench>{picker}</Bench>
      <Readings>
        {tabs}
        <h1 className="answer">Measure a hole pattern off what is there already, and print what fits it.</h1>
        <p style={{ marginTop: 8, maxWidth: 640 }}>
          A caliper across pairs of holes is enough: outside or inside jaws, in any order. The page places the
          holes, says how sure it is, names the reading that is wrong, and what to measure next.
        </p>
      </Readings>
    </main>
  );
}
