'use client';

import supplyCss from './supply.module.css';
import clsx from 'clsx';
import {
  BaseEdge,
  EdgeLabelRenderer,
  type EdgeProps,
  getBezierPath,
  Handle,
  type NodeProps,
  Position,
} from '@xyflow/react';
import '@xyflow/react/dist/base.css';
import { StateMark } from '@/ui/StateMark';
import { STATE_WORDS } from '@/words/states';
import type { Edge, Node } from '@xyflow/react';
import type { State } from '@/core/verdict/engine/check';

export type ThingNode = Node<
  { name: string; says: string; state?: State; source: boolean; target: boolean; narrow: boolean },
  'thing'
>;

/** Charged and low, as they stand on a branch. */
export type Lines = readonly [charged: string, low: string] | undefined;

export type FeedEdge = Edge<{ lines: Lines; narrow: boolean; bad: boolean }, 'feed'>;

const THING_HALF = 23;

export function Thing({
  data: { name, says, state, source, target, narrow },
  selected,
}: NodeProps<ThingNode>) {
  return (
    <div
      className={clsx(supplyCss.thing, selected && supplyCss.chosen)}
      data-thing
      data-state={state}
      aria-label={`${name}${state ? `, ${STATE_WORDS[state]}` : ''}`}
    >
      {target ? <Handle type="target" position={Position.Left} /> : null}
      <b>
        {state ? <StateMark state={state} /> : null} {name}
      </b>
      <span>{says}</span>
      {source ? (
        <Handle
          type="source"
          position={narrow ? Position.Bottom : Position.Right}
          {...(narrow ? { style: { left: 8 } } : {})}
        />
      ) : null}
    </div>
  );
}

export function Feed({ sourceX, sourceY, targetX, targetY, data }: EdgeProps<FeedEdge>) {
  const [bezier] = getBezierPath({
    sourceX,
    sourceY,
    sourcePosition: Position.Right,
    targetX,
    targetY,
    targetPosition: Position.Left,
  });
  const path = data?.narrow ? `M${sourceX},${sourceY}V${targetY}H${targetX}` : bezier;
  const bad = data?.bad;
  return (
    <>
      <BaseEdge path={path} className={clsx(supplyCss.feed, bad && supplyCss.bad)} interactionWidth={24} />
      {data?.lines ? (
        <EdgeLabelRenderer>
          <div
            className={clsx(supplyCss.branch, bad && supplyCss.bad)}
            data-feed
            style={{
              transform: data.narrow
                ? `translate(${targetX}px, ${targetY + THING_HALF}px)`
                : `translate(-100%, -50%) translate(${targetX - 6}px, ${targetY}px)`,
            }}
          >
            {data.lines.filter(Boolean).map((line) => (
              <div key={line}>{line}</div>
            ))}
          </div>
        </EdgeLabelRenderer>
      ) : null}
    </>
  );
}
