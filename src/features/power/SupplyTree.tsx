'use client';

import { Note } from '@/ui/controls/Note';
import chartsCss from '@/ui/charts/charts.module.css';
import supplyCss from '@/features/power/supply.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { needNames } from '@/words/needs';
import { ReactFlow } from '@xyflow/react';
import '@xyflow/react/dist/base.css';
import { useMemo } from 'react';
import { BATTERY } from '@/core/physics/supply/budgetDefinition';
import { feedsItself, treeLayout } from '@/core/physics/supply/treeLayout';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useNarrow } from '@/ui/useNarrow';
import { useBuild, useBuildChecks } from '../session/BuildContext';
import type { SupplyView } from './useSupply';
import { supplyRefused } from '@/words/checks/power';
import { Thing, Feed, type FeedEdge, type Lines, type ThingNode } from './SupplyThings';

const [COLUMN, ROW] = [338, 70];

/** Narrower the tree scrolls sideways, px a column. */
const LEAST_COLUMN = 250;

/** On a phone things stand under each other, each a step in from what feeds it. */
const [STEP, TALL_ROW] = [22, 84];

const MOTOR = 'motor-of-the-drive';

interface SupplyTreeProps {
  view: SupplyView;
  chosen: string | undefined;
  onChoose(id: string | undefined): void;
}

/** The supply as a tree: volts and amperes on every branch, charged and low; drag from an outlet to feed something from there. */
export function SupplyTree({ view, chosen, onChoose }: SupplyTreeProps) {
  const { document, edit, closed } = useBuild();
  const checks = useBuildChecks();
  const { reader } = useReader();
  const { power, drive } = document;
  const narrow = useNarrow();
  const { nodes, edges } = useMemo(() => {
    const { rails = [], loads = [], battery, controller } = power;
    const { supply, packA } = view;
    const place = treeLayout(rails, loads, controller ? [MOTOR] : []);
    const order = [...place.keys()];
    const positionOf = (id: string) =>
      narrow
        ? { x: place.get(id)!.depth * STEP, y: order.indexOf(id) * TALL_ROW }
        : { x: place.get(id)!.depth * COLUMN, y: place.get(id)!.row * ROW };
    const stateOf = (id: string) =>
      checks.find((check) => check.id === `power.rail:${id}` || check.id === `power.load:${id}`)?.state;
    const volts = (value: number) => formatText(value, 'voltageV', reader);
    const amps = (value: number) => formatText(value, 'currentA', reader, 2);
    const found = supply.ok ? supply.result : undefined;
    const node = (id: string, data: Omit<ThingNode['data'], 'narrow'>): ThingNode => ({
      id,
      type: 'thing',
      position: positionOf(id),
      data: { ...data, narrow },
      draggable: false,
      selected: id === chosen,
    });
    const feed = (id: string, from: string, lines: Lines): FeedEdge => ({
      id: `to-${id}`,
      source: from,
      target: id,
      type: 'feed',
      reconnectable: closed || id === MOTOR ? false : 'source',
      data: { lines, narrow, bad: stateOf(id) === 'over' },
    });
    return {
      nodes: [
        node(BATTERY, {
          name: battery?.name ?? 'No pack yet',
          says:
            found && supply.ok
              ? `${amps(found.batteryTypicalA)}, peak ${amps(found.batteryPeakA)}`
              : battery
                ? `${battery.cells} cells`
                : '',
          source: true,
          target: false,
          ...(checks.some(({ id, state }) => id === 'power.pack' && state !== 'unknown')
            ? { state: checks.find(({ id }) => id === 'power.pack')!.state }
            : {}),
        }),
        ...(controller
          ? [
              node(MOTOR, {
                name: controller.name,
                says: drive.motor?.name ?? 'no motor yet',
                source: false,
                target: true,
              }),
            ]
          : []),
        ...rails.map((rail) =>
          node(rail.id, {
            name: rail.name,
            says:
              rail.kind === 'direct'
                ? 'plain junction'
                : rail.setV === undefined
                  ? 'volts not given'
                  : `set to ${volts(rail.setV)}`,
            source: true,
            target: true,
            state: stateOf(rail.id),
          }),
        ),
        ...loads.map((load) =>
          node(load.id, {
            name: load.name,
            says:
              load.minV === undefined || load.maxV === undefined
                ? 'volts not given'
                : `${volts(load.minV)} to ${volts(load.maxV)}`,
            source: false,
            target: true,
            state: stateOf(load.id),
          }),
        ),
      ],
      edges: [
        ...(controller
          ? [feed(MOTOR, BATTERY, packA === undefined ? undefined : [`peak ${amps(packA)}`, ''])]
          : []),
        ...rails.map((rail) => {
          const own = found?.rails.find(({ id }) => id === rail.id);
          return feed(
            rail.id,
            rail.from,
            own
              ? [
                  `charged ${volts(own.full.inV)}, ${amps(own.full.typicalA)}`,
                  `low ${volts(own.low.inV)}, peak ${amps(own.low.peakA)}`,
                ]
              : undefined,
          );
        }),
        ...loads.map((load) => {
          const own = found?.loads.find(({ id }) => id === load.id);
          return feed(
            load.id,
            load.rail,
            own
              ? [
                  `charged ${volts(own.full.volts)}, ${amps(load.typicalA!)}`,
                  `low ${volts(own.low.volts)}, peak ${amps(load.peakA!)}`,
                ]
              : undefined,
          );
        }),
      ].filter(({ source }) => place.has(source)),
    };
  }, [power, drive.motor, view, checks, reader, chosen, closed, narrow]);

  const refeed = (id: string, from: string) => {
    const { rails = [], loads = [] } = power;
    if (id === MOTOR) return;
    if (loads.some((load) => load.id === id)) edit([{ path: ['power', 'loads', id, 'rail'], value: from }]);
    else if (!feedsItself(rails, id, from)) edit([{ path: ['power', 'rails', id, 'from'], value: from }]);
  };
  const height = Math.max(
    190,
    (Math.max(...nodes.map(({ position }) => position.y)) + (narrow ? TALL_ROW : ROW)) * 0.92 +
      (narrow ? 56 : 24),
  );
  const depth = Math.round(Math.max(...nodes.map(({ position }) => position.x)) / COLUMN);
  const refused = view.supply.ok ? undefined : view.supply.refused;
  const trouble = view.supply.ok
    ? undefined
    : refused
      ? supplyRefused(refused)
      : view.supply.missing.length > 0
        ? `The volts are not worked out yet: they need ${needNames(view.supply.missing)}.`
        : undefined;
  return (
    <Box component="figure" className={chartsCss.chart} sx={{ mt: 1 }} data-testid="supply-tree">
      <figcaption>
        <span>What feeds what, pack charged and pack low</span>
        <Typography component="span" color="textSecondary">
          {closed ? '' : 'drag from an outlet to what it should feed, or choose in the list'}
        </Typography>
      </figcaption>
      {trouble ? (
        <Note tone={refused ? 'bad' : 'caution'} role="alert">
          {trouble}
        </Note>
      ) : null}
      <div className={supplyCss.flow}>
        <Box style={{ height }} sx={{ minWidth: narrow ? 0 : (depth + 1) * LEAST_COLUMN }}>
          <ReactFlow
            key={`${narrow} ${nodes.map(({ id }) => id).join()}`}
            nodes={nodes}
            edges={edges}
            nodeTypes={NODE_TYPES}
            edgeTypes={EDGE_TYPES}
            onNodeClick={(_, { id }) => onChoose(id)}
            onReconnect={(edge, { source }) => refeed(edge.target, source)}
            onConnect={({ source, target }) => refeed(target, source)}
            isValidConnection={({ source, target }) => source !== target}
            fitView
            fitViewOptions={{ padding: 0.06, maxZoom: 1 }}
            panOnDrag={false}
            zoomOnScroll={false}
            zoomOnPinch={false}
            zoomOnDoubleClick={false}
            preventScrolling={false}
            panOnScroll={false}
            nodesConnectable={!closed}
            edgesFocusable={false}
            deleteKeyCode={null}
            proOptions={{ hideAttribution: true }}
            minZoom={0.2}
          />
        </Box>
      </div>
    </Box>
  );
}

const NODE_TYPES = { thing: Thing };

const EDGE_TYPES = { feed: Feed };
