'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import Box from '@mui/material/Box';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import cornerCss from '@/features/suspension/corner/corner.module.css';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { Tick } from '@/ui/controls/Tick';
import Button from '@mui/material/Button';
import { Note } from '@/ui/controls/Note';
import { useState } from 'react';
import type { End } from '@/core/car/document/suspension';
import { applyPatch, type Patch } from '@/core/base/patch';
import {
  type BetterResult,
  type BetterTask,
  type Freedom,
  USUAL_TRIALS,
  type Wants,
} from '@/core/worked/suspension/better';
import { type Corner, POINT_NAMES, type PointName } from '@/core/physics/corner/corner';
import { endOf, type EndOfBuild, steers } from '@/core/worked/suspension/endOfBuild';
import { QuantityField } from '@/ui/QuantityField';
import { useBuild } from '../session/BuildContext';
import { Group } from '../fields/fields';
import { Bench, Readings } from '../frame/Guarded';
import { CornerViews } from './corner/CornerViews';
import { Curves } from './corner/Curves';
import { AS_DRAWN, useCornerMotion } from './corner/useCornerMotion';
import type { SideProps } from './side';
import { useBetter } from './useBetter';
import { FreePoints, placeOf } from './FreePoints';
import { Bought, ResultTables, WISHES } from './BetterTables';
import { refusalText } from '@/words/refusals/problemOf';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';

const USUAL_BOX_MM = 5;
const FIRST_FREE = ['tieInner-1', 'tieInner-2'];

/** Points moved by the worker towards what is wished for, with what moved and what that bought. */
export function BetterSide({ end, tabs, foot }: SideProps) {
  const { document, edit, setGhost, closed } = useBuild();
  const found = endOf(document, end);
  const drawn = found.ok ? found.value : undefined;
  const better = useBetter();
  const [asked, ask] = useState<BetterTask>();
  const steered = drawn !== undefined && steers(drawn.corner);
  const [wants, want] = useState<Wants>({ bumpSteerDegPerMm: 0 });
  const [free, setFree] = useState<ReadonlySet<string>>(
    new Set(drawn?.corner.tieInner ? FIRST_FREE : ['upperInner-1', 'upperInner-2']),
  );
  const [boxMm, setBox] = useState(USUAL_BOX_MM);
  const { wheelbaseMm } = document.chassis;
  const freedoms = drawn ? freedomsOf(free, boxMm, drawn) : [];
  const task: BetterTask | undefined =
    drawn && wheelbaseMm !== undefined
      ? {
          corner: drawn.corner,
          wheelbaseMm,
          bumpMm: drawn.bumpMm,
          droopMm: drawn.droopMm,
          ...(drawn.lockMm > 0 ? { rackMm: drawn.lockMm } : {}),
          free: freedoms,
          wants,
        }
      : undefined;
  const { reader } = useReader();
  const { result, refused, done } = better;
  const taken =
    result !== undefined &&
    drawn !== undefined &&
    result.moved.length > 0 &&
    same(result.corner, drawn.corner);
  const stale =
    result !== undefined &&
    asked !== undefined &&
    drawn !== undefined &&
    !taken &&
    !same(asked.corner, drawn.corner);
  return (
    <>
      <Bench>
        <Group title="Wished for">
          {WISHES.filter(({ steered: needs }) => !needs || steered).map(({ key, label, quantity, usual }) => (
            <div key={key} className={cornerCss.wish}>
              <label>
                <Tick
                  checked={wants[key] !== undefined}
                  onChange={(event) => want({ ...wants, [key]: event.target.checked ? usual : undefined })}
                />{' '}
                {label}
              </label>
              {wants[key] === undefined ? null : (
                <span className={fieldsCss.bare}>
                  <QuantityField
                    label={`${label} wished for`}
                    quantity={quantity}
                    value={wants[key]}
                    onChange={(value) => {
                      if (value !== undefined) want({ ...wants, [key]: value });
                    }}
                  />
                </span>
              )}
            </div>
          ))}
        </Group>
        <Group title="May move">
          {drawn ? <FreePoints drawn={drawn} free={free} onFree={setFree} /> : null}
          <QuantityField
            label="Each way by at most"
            quantity="lengthMm"
            limits={{ above: 0, to: 100 }}
            value={boxMm}
            onChange={(value) => {
              if (value !== undefined) setBox(value);
            }}
          />
        </Group>
        <Row>
          {done === undefined ? (
            <Button
              variant="contained"
              disabled={!task || freedoms.length === 0}
              onClick={() => {
                if (task) {
                  ask(task);
                  better.start(task);
                }
              }}
            >
              Search
            </Button>
          ) : (
            <Button onClick={better.cancel}>Cancel</Button>
          )}
          {done === undefined ? null : (
            <Typography color="textSecondary" role="status">
              {formatNumber(done, reader.locale)} of {formatNumber(USUAL_TRIALS, reader.locale)} corners tried
            </Typography>
          )}
        </Row>
      </Bench>
      <Readings>
        {tabs}
        {found.ok ? (
          <Typography variant="answer">
            {refused ? (
              `${refusalText(refused, reader)}.`
            ) : result ? (
              <Bought end={end} result={result} />
            ) : (
              'Say what you wish for and which points may move; the search tries ten thousand corners and shows what it would move.'
            )}
          </Typography>
        ) : (
          <StillNeeds missing={found.missing} />
        )}
        {stale ? <Note>The corner has changed since this search: search again.</Note> : null}
        {taken ? (
          <Note tone="ok">These points are in the build now. Ctrl+Z takes them out again.</Note>
        ) : null}
        {result && drawn && !stale ? (
          <Box sx={dimmedWhen(done !== undefined)}>
            <ResultTables result={result} />
            {taken ? null : (
              <Row as="p" sx={{ mt: 1 }}>
                <Button
                  variant="contained"
                  disabled={closed || result.moved.length === 0}
                  onClick={() => edit(patchOf(end, result))}
                >
                  Take these points
                </Button>
                <Button
                  onClick={() =>
                    setGhost({ label: 'better point', document: applyPatch(document, patchOf(end, result)) })
                  }
                >
                  Compare on every page
                </Button>
              </Row>
            )}
            <Curves
              drawn={{ ...drawn, corner: result.corner }}
              ghost={asked ? { label: 'as drawn', drawn: { ...drawn, corner: asked.corner } } : undefined}
              travelMm={0}
              now="the better point"
            />
          </Box>
        ) : null}
        {result ? null : <AsDrawn end={end} free={freedoms} />}
        {foot}
      </Readings>
    </>
  );
}

/** The corner that a search begins from, with the points that may move ringed. */
function AsDrawn({ end, free }: { end: End; free: readonly Freedom[] }) {
  const { document } = useBuild();
  const [pressed, choose] = useState<string>();
  const { drawn, left, right, motion } = useCornerMotion(document, end, AS_DRAWN);
  if (!drawn || !left || !right) return null;
  return (
    <>
      <CornerViews
        end={end}
        corner={drawn.corner}
        left={left}
        right={right}
        motion={motion}
        ghost={undefined}
        chosen={pressed ?? free[0]?.point}
        onChoose={choose}
        onDrawn={() => undefined}
      />
      <Curves drawn={drawn} ghost={undefined} travelMm={0} />
    </>
  );
}

const same = (a: Corner, b: Corner) =>
  POINT_NAMES.every((name) => String(placeOf(a, name)) === String(placeOf(b, name)));

const freedomsOf = (free: ReadonlySet<string>, plusMinusMm: number, { corner }: EndOfBuild): Freedom[] =>
  [...free]
    .map((key) => ({
      point: key.split('-')[0] as PointName,
      axis: Number(key.split('-')[1]) as Freedom['axis'],
      plusMinusMm,
    }))
    .filter(({ point }) => placeOf(corner, point) !== undefined);

const patchOf = (end: End, { moved }: BetterResult): Patch =>
  moved.map(({ point, to }) => ({ path: ['suspension', end, 'corner', point], value: to }));
