'use client';

import Typography from '@mui/material/Typography';
import { SEARCH_SORTS, type SearchSort } from '@/core/physics/transmissions/gearSearch';
import { QuantityField } from '@/ui/QuantityField';
import { AMONG_NAMES, SORT_NAMES } from '@/words/driving/search';
import { Choice, Group } from '../../fields/fields';
import { Fields } from '../../frame/Guarded';
import { Stages } from '../gears/Stages';
import { type Among, AMONG, useWish } from './wish';

const STAGES = ['1', '2', '3'] as const;

/** The ratio that is wished and what it is searched among; taking a row changes the build, typing here does not. */
export function SearchBench() {
  const { typed, change, present, among } = useWish();
  return (
    <Fields>
      <Group title="What is searched">
        <QuantityField
          label="Wanted ratio"
          quantity="ratio"
          value={typed.overall}
          usual={present}
          limits={{ above: 0, to: 1000 }}
          onChange={(overall) => change({ overall })}
        />
        <QuantityField
          label="Off by at most"
          quantity="percent"
          value={typed.tolerancePct}
          limits={{ from: 0, to: 100 }}
          onChange={(tolerancePct) => change({ tolerancePct: tolerancePct ?? 0 })}
        />
        <Choice
          id="search-among"
          label="Among"
          value={among}
          options={AMONG.map((one) => [one, AMONG_NAMES[one]])}
          disabled={false}
          onChange={(one) => change({ among: one as Among })}
        />
        {among === 'sets' ? (
          <>
            <QuantityField
              label="Teeth of the ring at most"
              quantity="count"
              value={typed.ringTeethMax}
              limits={{ from: 36, to: 400 }}
              onChange={(ringTeethMax) => change({ ringTeethMax: ringTeethMax ?? 90 })}
            />
            <QuantityField
              label="Room for the ring, across"
              quantity="lengthMm"
              value={typed.outsideMaxMm}
              example={50}
              limits={{ above: 0, to: 1000 }}
              onChange={(outsideMaxMm) => change({ outsideMaxMm })}
            />
          </>
        ) : (
          <>
            <Choice
              id="search-stages"
              label="Stages"
              value={String(typed.stages)}
              options={STAGES.map((one) => [one, one])}
              disabled={false}
              onChange={(one) => change({ stages: Number(one) })}
            />
            <Choice
              id="search-sort"
              label="First comes"
              value={typed.sort}
              options={SEARCH_SORTS.map((one) => [one, SORT_NAMES[one]])}
              disabled={false}
              onChange={(one) => change({ sort: one as SearchSort })}
            />
          </>
        )}
      </Group>
      <Stages />
      <Typography variant="small" color="textSecondary">
        The other stages stay as they are; the slot of a spur pair limits how far its shafts are apart. Gears
        at hand are those of the library.
      </Typography>
    </Fields>
  );
}
