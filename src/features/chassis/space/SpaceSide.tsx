'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { scale } from '@/core/base/vec3';
import { carMarks, type CarMark } from '@/core/verdict/carMarks';
import { offsetsApart } from '@/core/worked/space/apart';
import { apartIn } from '@/core/worked/space/clearanceOfBuild';
import { drawnThings } from '@/core/worked/space/drawnThings';
import { standsAt } from '@/core/worked/space/dropOfCar';
import { bodiesIn, type CarPose } from '@/core/worked/space/posesOfCar';
import { saidThing } from '@/core/worked/space/said';
import type { Thing } from '@/core/worked/space/thingsOfCar';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Row } from '@/ui/layout/Row';
import { useReader } from '@/ui/reader';
import { dropPeaks, lookAnswer, markWords } from '@/words/checks/carLook';
import { pickedWords, roomAnswer } from '@/words/checks/room';
import { thingWords } from '@/words/checks/things';
import { firstUp } from '@/words/lists';
import { workerOf } from '@/workers/clients';
import { Refusal } from '../../fields/Refusal';
import { Apart } from '../../frame/Guarded';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { useBuild, useBuildChecks } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { inksBy, PLAIN_LOOK } from './carLook';
import { DropPlayed } from './DropPlayed';
import { LookBar } from './LookBar';
import { NearTable } from './NearTable';
import { PoseBar } from './PoseBar';
import { extentOf, tyreArrows } from './sceneFacts';
import { useDrawnMeshes } from './useDrawnMeshes';
import { useDrop } from './useDrop';

const NOTHING: readonly Thing[] = [];
const AT_REST: CarPose = { travelMm: { front: 0, rear: 0 }, rackMm: 0 };

const CarScene = dynamic(() => import('./CarScene').then(({ CarScene: Scene }) => Scene), {
  ssr: false,
  loading: () => <Box sx={{ height: 430 }} />,
});

/** How far the two things that were picked last are apart where they stand. */
function Picked({
  things,
  picked,
  pose,
  marks,
}: {
  things: readonly Thing[];
  picked: readonly string[];
  pose: CarPose;
  marks: ReadonlyMap<string, CarMark>;
}) {
  const { document } = useBuild();
  const { reader } = useReader();
  const [a, b] = picked.map((id) => things.find((one) => one.id === id));
  if (!a) return null;
  return (
    <Typography data-testid="picked">
      {b
        ? pickedWords(saidThing(a), saidThing(b), apartIn(document, a, b, pose), reader)
        : `${[firstUp(thingWords(saidThing(a))), markWords(marks.get(a.id)!, reader)].filter(Boolean).join(': ')}. Pick another thing, and how far they are apart stands here.`}
    </Typography>
  );
}

/** The whole car in space, and what of it comes near what when it moves. */
export function SpaceSide({ onChoose }: { onChoose(id: string): void }) {
  const { document, library, revisions, runs, failures, copies } = useBuild();
  const checks = useBuildChecks();
  const { reader } = useReader();
  const worked = useWorked(() => workerOf('suspension').clearance(document), [document]);
  const found = worked.value?.ok ? worked.value.value : undefined;
  const counted = found?.near.filter(({ counts }) => counts) ?? [];
  const worst = counted[0];
  const [shown, show] = useState<CarPose>();
  const [picked, pick] = useState<readonly string[]>([]);
  const [look, setLook] = useState(PLAIN_LOOK);
  const [dropped, setDropped] = useState(false);
  const drop = useDrop(document, dropped);
  const moment = drop?.found.ok ? drop.found.value.moments[drop.index] : undefined;
  const drawn = useMemo(() => drawnThings(document, library), [document, library]);
  const surfaces = useDrawnMeshes(drawn.map(({ mesh }) => mesh));
  const things = found?.things ?? NOTHING;
  const marks = useMemo(
    () => carMarks({ document, revisions, runs, failures, copies }, things, checks),
    [document, revisions, runs, failures, copies, things, checks],
  );
  const inks = useMemo(() => inksBy(look.by, things, marks), [look.by, things, marks]);
  const apart = useMemo(() => offsetsApart(things), [things]);
  const offsets = useMemo(
    () => new Map([...apart].map(([id, off]) => [id, scale(off, look.apart)])),
    [apart, look.apart],
  );
  const pose = moment?.pose ?? shown ?? worst?.pose ?? AT_REST;
  const bodies = bodiesIn(document, pose);
  const meets = worst && worst.signedMm < worst.wantedMm + 1e-9 ? [worst.a.id, worst.b.id] : [];
  const marked = new Set(look.by === 'kind' && !moment ? meets : []);
  if (worked.value && !worked.value.ok) return <StillNeeds missing={worked.value.missing} />;
  if (worked.refused) return <Refusal of={worked} />;
  if (!found) return <Typography variant="answer">Being worked out.</Typography>;
  const mm = (value: number) => formatText(value, 'lengthMm', reader, 2);
  const { ground } = found;
  const { wheelbaseMm = 250 } = document.chassis;
  return (
    <Apart>
      <Typography variant="answer" data-testid="room-answer">
        {drop?.found.ok
          ? dropPeaks(drop.found.value, reader)
          : look.by === 'kind'
            ? roomAnswer(counted, things.length, reader)
            : lookAnswer(look.by, things, marks, reader)}
      </Typography>
      {found.unplaced > 0 ? (
        <Typography color="textSecondary">
          {found.unplaced} {found.unplaced === 1 ? 'component has' : 'components have'} no place of their own
          yet and are not looked at: drag them on Layout.
        </Typography>
      ) : null}
      <Box sx={dimmedWhen(worked.stale)}>
        <LookBar
          look={look}
          extent={extentOf(things)}
          geared={things.some(({ train }) => train?.gear)}
          onLook={setLook}
        />
        <CarScene
          things={things}
          bodies={bodies}
          marked={marked}
          inks={inks}
          offsets={offsets}
          look={look}
          picked={picked}
          drawn={drawn}
          surfaces={surfaces}
          onPick={(id) => {
            pick(picked.includes(id) ? picked.filter((one) => one !== id) : [...picked, id].slice(-2));
            if (document.chassis.bodies?.some((body) => body.id === id)) onChoose(id);
          }}
          wheelbaseMm={wheelbaseMm}
          {...(moment
            ? { carried: standsAt(moment, wheelbaseMm), arrows: tyreArrows(things, drop!.found, moment) }
            : {})}
        />
        <Row sx={{ mb: 1 }}>
          <Toggles label="Moved">
            <Toggle size="small" pressed={!dropped} onPress={() => setDropped(false)}>
              Moved by hand
            </Toggle>
            <Toggle size="small" pressed={dropped} onPress={() => setDropped(true)}>
              Dropped
            </Toggle>
          </Toggles>
        </Row>
        {drop ? <DropPlayed drop={drop} /> : <PoseBar pose={pose} onPose={show} />}
        <Picked things={things} picked={picked} pose={pose} marks={marks} />
        {ground ? (
          <Typography data-testid="ground">
            {mm(ground.clearanceMm)} free over the ground, approach{' '}
            {formatNumber(ground.approachDeg, reader.locale, 2)}°, departure{' '}
            {formatNumber(ground.departureDeg, reader.locale, 2)}°
            {ground.breakoverDeg === undefined
              ? ''
              : `, breakover ${formatNumber(ground.breakoverDeg, reader.locale, 2)}°`}
            ; climbs a step of {mm(ground.highestStepMm)}.
          </Typography>
        ) : null}
        <NearTable
          near={found.near}
          onPose={(next) => {
            setDropped(false);
            show(next);
          }}
        />
      </Box>
      <SegmentChecks segment="chassis" side="space" />
    </Apart>
  );
}
