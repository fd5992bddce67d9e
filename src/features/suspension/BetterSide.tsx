'use client';

import { needNames } from '@/words/needs';
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
import { type EndOfBuild, endOf, steers } from '@/core/worked/suspension/endOfBuild';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { type QuantityName, toShown, unitOf } from '@/core/base/units/quantities';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { Group } from '../fields/fields';
import { Bench, Charts, Readings } from '../frame/Guarded';
import { Curves } from './corner/Curves';
import { pointLabel } from './corner/points';
import type { SideProps } from './side';
import { useBetter } from './useBetter';

const WISHES: readonly {
  key: keyof Wants;
  label: string;
  quantity: QuantityName;
  usual: number;
  steered?: true;
}[] = [
  { key: 'bumpSteerDegPerMm', label: 'Bump steer', quantity: 'degPerMm', usual: 0 },
  { key: 'camberGainDegPerMm', label: 'Camber gain', quantity: 'degPerMm', usual: -0.1 },
  { key: 'casterDeg', label: 'Caster', quantity: 'angleDeg', usual: 6, steered: true },
  { key: 'rollCentreMm', label: 'Roll centre', quantity: 'lengthMm', usual: 10 },
  { key: 'ackermannPct', label: 'Ackermann at full lock', quantity: 'percent', usual: 60, steered: true },
];
const AXES = ['ahead', 'left', 'up'] as const;
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
            <div key={key} className="wish">
              <label>
                <input
                  type="checkbox"
                  checked={wants[key] !== undefined}
                  onChange={(event) => want({ ...wants, [key]: event.target.checked ? usual : undefined })}
                />{' '}
                {label}
              </label>
              {wants[key] === undefined ? null : (
                <span className="bare">
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
        <div className="row">
          {done === undefined ? (
            <button
              type="button"
              className="btn main"
              disabled={!task || freedoms.length === 0}
              onClick={() => {
                if (task) {
                  ask(task);
                  better.start(task);
                }
              }}
            >
              Search
            </button>
          ) : (
            <button type="button" className="btn" onClick={better.cancel}>
              Cancel
            </button>
          )}
          {done === undefined ? null : (
            <p role="status" className="quiet">
              {done.toLocaleString('en')} of {USUAL_TRIALS.toLocaleString('en')} corners tried
            </p>
          )}
        </div>
      </Bench>
      <Readings>
        {tabs}
        <h1 className="answer">
          {!found.ok ? (
            `Not worked out yet: it needs ${needNames(found.missing)}.`
          ) : refused ? (
            `${refused.message}${refused.remedy ? `: ${refused.remedy}` : ''}.`
          ) : result ? (
            <Bought end={end} result={result} />
          ) : (
            'Say what you wish for and which points may move; the search tries ten thousand corners and shows what it would move.'
          )}
        </h1>
        {stale ? <p className="note">The corner has changed since this search: search again.</p> : null}
        {taken ? (
          <p className="note ok">These points are in the build now. Ctrl+Z takes them out again.</p>
        ) : null}
        {result && drawn && !stale ? (
          <div style={done === undefined ? undefined : { opacity: 0.45 }}>
            <ResultTables result={result} />
            {taken ? null : (
              <p className="row" style={{ marginTop: 8 }}>
                <button
                  type="button"
                  className="btn main"
                  disabled={closed || result.moved.length === 0}
                  onClick={() => edit(patchOf(end, result))}
                >
                  Take these points
                </button>
                <button
                  type="button"
                  className="btn"
                  onClick={() =>
                    setGhost({ label: 'better point', document: applyPatch(document, patchOf(end, result)) })
                  }
                >
                  Compare on every page
                </button>
              </p>
            )}
            <Curves
              drawn={{ ...drawn, corner: result.corner }}
              ghost={asked ? { label: 'as drawn', drawn: { ...drawn, corner: asked.corner } } : undefined}
              travelMm={0}
              now="the better point"
            />
          </div>
        ) : null}
        {foot}
      </Readings>
    </>
  );
}

const placeOf = (corner: Corner, point: PointName) => (corner as unknown as Record<string, unknown>)[point];
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

function FreePoints({
  drawn: { corner },
  free,
  onFree,
}: {
  drawn: EndOfBuild;
  free: ReadonlySet<string>;
  onFree(free: ReadonlySet<string>): void;
}) {
  const names = POINT_NAMES.filter((name) => name !== 'wheelCentre' && placeOf(corner, name) !== undefined);
  const toggle = (key: string) => {
    const next = new Set(free);
    if (!next.delete(key)) next.add(key);
    onFree(next);
  };
  return (
    <table className="points" aria-label="Points that may move">
      <thead>
        <tr>
          <th />
          {AXES.map((axis) => (
            <th key={axis}>{axis}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {names.map((name) => (
          <tr key={name}>
            <th scope="row">{pointLabel(name)}</th>
            {AXES.map((axis, index) => (
              <td key={axis} style={{ textAlign: 'right' }}>
                <input
                  type="checkbox"
                  aria-label={`${pointLabel(name)} may move ${axis}`}
                  checked={free.has(`${name}-${index}`)}
                  onChange={() => toggle(`${name}-${index}`)}
                />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Bought({ end, result: { before, after, moved } }: { end: End; result: BetterResult }) {
  const { reader } = useReader();
  const number = (value: number) => formatNumber(value, reader.locale, 2);
  if (moved.length === 0)
    return (
      <>No point within these boxes does better for the {end} corner: allow more room, or free others.</>
    );
  return (
    <>
      Moving{' '}
      {moved.length === 1
        ? `the ${pointLabel(moved[0]!.point).replace(', ', '’s ')}`
        : `${moved.length} points`}{' '}
      brings the stray of the {end} wheel’s toe from {number(before.toeOffDeg)}° to{' '}
      <span className="figure" data-testid="toe-after">
        {number(after.toeOffDeg)}°
      </span>{' '}
      over the whole travel.
    </>
  );
}

function ResultTables({ result: { before, after, moved } }: { result: BetterResult }) {
  const { reader } = useReader();
  const shown = (value: number | undefined, quantity: QuantityName) => {
    if (value === undefined) return '';
    const unit = unitOf(quantity, reader.units);
    const number = toShown(value, unit);
    return `${formatNumber(Math.abs(number) < 5e-4 ? 0 : number, reader.locale, 3)} ${unit.symbol}`;
  };
  return (
    <Charts style={{ gap: 28 }}>
      <table className="grid tight" style={{ width: 'auto' }} aria-label="What that bought">
        <thead>
          <tr>
            <th>What that bought</th>
            <th className="num">As drawn</th>
            <th className="num">Then</th>
          </tr>
        </thead>
        <tbody>
          {WISHES.filter(({ key }) => after[key] !== undefined).map(({ key, label, quantity }) => (
            <tr key={key} data-bought={key}>
              <td>{label}</td>
              <td className="num">{shown(before[key], quantity)}</td>
              <td className="num">
                <b>{shown(after[key], quantity)}</b>
              </td>
            </tr>
          ))}
          <tr>
            <td>Toe off over the travel</td>
            <td className="num">{shown(before.toeOffDeg, 'angleDeg')}</td>
            <td className="num">
              <b>{shown(after.toeOffDeg, 'angleDeg')}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <table className="grid tight" style={{ width: 'auto' }} aria-label="What moved">
        <thead>
          <tr>
            <th>What moves</th>
            {AXES.map((axis) => (
              <th key={axis} className="num">
                {axis}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {moved.map(({ point, from, to }) => (
            <tr key={point}>
              <td>{pointLabel(point)}</td>
              {to.map((value, index) => {
                const by = value - from[index]!;
                return (
                  <td key={index} className="num">
                    {Math.abs(by) < 0.005
                      ? '·'
                      : `${by > 0 ? '+' : ''}${shown(Number(by.toFixed(2)), 'lengthMm')}`}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </Charts>
  );
}
