'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import tablesCss from '@/ui/controls/tables.module.css';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { saidThing } from '@/core/worked/space/said';
import { drawnThings } from '@/core/worked/space/drawnThings';
import { apartIn, type NearThings } from '@/core/worked/space/clearanceOfBuild';
import { bodiesIn, type CarPose } from '@/core/worked/space/posesOfCar';
import type { Thing } from '@/core/worked/space/thingsOfCar';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';
import { pickedWords, roomAnswer } from '@/words/checks/room';
import { thingWords } from '@/words/checks/things';
import { firstUp } from '@/words/lists';
import { workerOf } from '@/workers/clients';
import { newId } from '../../api';
import { Apart } from '../../frame/Guarded';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { useDrawnMeshes } from './useDrawnMeshes';
import { Refusal } from '../../fields/Refusal';

const CarScene = dynamic(() => import('./CarScene').then(({ CarScene: Scene }) => Scene), {
  ssr: false,
  loading: () => <Box sx={{ height: 430 }} />,
});

/** How far the two things that were picked last are apart where they stand. */
function Picked({
  things,
  picked,
  pose,
}: {
  things: readonly Thing[];
  picked: readonly string[];
  pose: CarPose;
}) {
  const { document } = useBuild();
  const { reader } = useReader();
  const [a, b] = picked.map((id) => things.find((one) => one.id === id));
  if (!a) return null;
  return (
    <Typography data-testid="picked">
      {b
        ? pickedWords(saidThing(a), saidThing(b), apartIn(document, a, b, pose), reader)
        : `${firstUp(thingWords(saidThing(a)))}: pick another thing, and how far they are apart stands here.`}
    </Typography>
  );
}

/** The whole car in space, and what of it comes near what when it moves. */
export function SpaceSide({ onChoose }: { onChoose(id: string): void }) {
  const { document, library, edit, closed } = useBuild();
  const { reader } = useReader();
  const worked = useWorked(() => workerOf('suspension').clearance(document), [document]);
  const found = worked.value?.ok ? worked.value.value : undefined;
  const counted = found?.near.filter(({ allowed, moves, contact }) => !allowed && (moves || contact)) ?? [];
  const worst = counted[0];
  const [shown, show] = useState<CarPose>();
  const [picked, pick] = useState<readonly string[]>([]);
  const drawn = useMemo(() => drawnThings(document, library), [document, library]);
  const surfaces = useDrawnMeshes(drawn.map(({ mesh }) => mesh));
  const pose = shown ?? worst?.pose ?? { travelMm: { front: 0, rear: 0 }, rackMm: 0 };
  const bodies = bodiesIn(document, pose);
  const marked = new Set(worst && worst.signedMm < worst.wantedMm + 1e-9 ? [worst.a.id, worst.b.id] : []);
  const { bumpMm = 0, droopMm = 0 } = document.suspension.front ?? document.suspension.rear ?? {};
  const rear = document.suspension.rear ?? {};
  const share =
    pose.travelMm.front >= 0 ? pose.travelMm.front / (bumpMm || 1) : pose.travelMm.front / (droopMm || 1);
  const lockMm = document.suspension.steering?.lockMm ?? 0;
  const toTravel = (mm: number): CarPose => ({
    ...pose,
    travelMm: {
      front: mm,
      rear: mm >= 0 ? (mm / (bumpMm || 1)) * (rear.bumpMm ?? 0) : (mm / (droopMm || 1)) * (rear.droopMm ?? 0),
    },
  });
  const allow = ({ a, b }: NearThings) => {
    const touching = document.chassis.touching ?? [];
    edit([
      {
        path: ['chassis', 'touching'],
        value: [...touching, { id: `touch-${newId().slice(0, 8)}`, a: a.id, b: b.id }],
      },
    ]);
  };
  const forbid = ({ a, b }: NearThings) => {
    const left = (document.chassis.touching ?? []).filter(
      (one) => !((one.a === a.id && one.b === b.id) || (one.a === b.id && one.b === a.id)),
    );
    edit([{ path: ['chassis', 'touching'], value: left.length > 0 ? left : undefined }]);
  };
  if (worked.value && !worked.value.ok) return <StillNeeds missing={worked.value.missing} />;
  if (worked.refused) return <Refusal of={worked} />;
  if (!found) return <Typography variant="answer">Being worked out.</Typography>;
  const mm = (value: number) => formatText(value, 'lengthMm', reader, 2);
  const { ground } = found;
  return (
    <Apart>
      <Typography variant="answer" data-testid="room-answer">
        {roomAnswer(counted, found.things.length, reader)}
      </Typography>
      {found.unplaced > 0 ? (
        <Typography color="textSecondary">
          {found.unplaced} {found.unplaced === 1 ? 'component has' : 'components have'} no place of their own
          yet and are not looked at: drag them on Layout.
        </Typography>
      ) : null}
      <Box sx={dimmedWhen(worked.stale)}>
        <CarScene
          things={found.things}
          bodies={bodies}
          marked={marked}
          picked={picked}
          drawn={drawn}
          surfaces={surfaces}
          onPick={(id) => {
            pick(picked.includes(id) ? picked.filter((one) => one !== id) : [...picked, id].slice(-2));
            if (document.chassis.bodies?.some((body) => body.id === id)) onChoose(id);
          }}
          wheelbaseMm={document.chassis.wheelbaseMm ?? 250}
        />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, maxWidth: 620 }}>
          <Box sx={{ flex: '1 1 240px' }}>
            <QuantitySlider
              label="Wheels at"
              quantity="lengthMm"
              value={share === 0 ? 0 : pose.travelMm.front}
              min={-droopMm}
              max={Math.max(bumpMm, 1)}
              step={0.5}
              onChange={(value) => show(toTravel(value))}
            />
          </Box>
          <Box sx={{ flex: '1 1 240px' }}>
            <QuantitySlider
              label="Leans by, left side in"
              quantity="lengthMm"
              value={pose.leanMm ?? 0}
              min={-(bumpMm + droopMm)}
              max={Math.max(bumpMm + droopMm, 1)}
              step={1}
              onChange={(leanMm) => show({ ...pose, leanMm })}
            />
          </Box>
          {lockMm > 0 ? (
            <Box sx={{ flex: '1 1 240px' }}>
              <QuantitySlider
                label="Rack at"
                quantity="lengthMm"
                value={pose.rackMm}
                min={-lockMm}
                max={lockMm}
                step={0.5}
                onChange={(rackMm) => show({ ...pose, rackMm })}
              />
            </Box>
          ) : null}
        </Box>
        <Picked things={found.things} picked={picked} pose={pose} />
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
        {found.near.length === 0 ? null : (
          <TableContainer sx={{ mt: 1.5 }}>
            <Table className={tablesCss.slim} data-testid="near-things">
              <TableHead>
                <TableRow>
                  <TableCell>What comes near what</TableCell>
                  <TableCell align="right">Apart</TableCell>
                  <TableCell align="right">Wanted</TableCell>
                  <TableCell>Where</TableCell>
                  <TableCell />
                </TableRow>
              </TableHead>
              <TableBody>
                {found.near
                  .filter(({ moves, contact }) => moves || contact)
                  .map((near) => (
                    <TableRow key={`${near.a.id} ${near.b.id}`}>
                      <TableCell>
                        {firstUp(thingWords(saidThing(near.a)))}, {near.a.of?.side ?? near.b.of?.side ?? ''}{' '}
                        {thingWords(saidThing(near.b))}
                      </TableCell>
                      <TableCell
                        align="right"
                        data-tone={!near.allowed && near.marginMm < 0 ? 'fails' : undefined}
                      >
                        {near.contact ? `${mm(Math.max(0, -near.signedMm))} in it` : mm(near.signedMm)}
                      </TableCell>
                      <TableCell align="right">{near.wantedMm === 0 ? '' : mm(near.wantedMm)}</TableCell>
                      <TableCell>
                        {near.moves ? (
                          <Button variant="link" onClick={() => show(near.pose)}>
                            {mm(near.pose.travelMm[(near.a.of ?? near.b.of)?.end ?? 'front'])}
                            {near.pose.rackMm === 0 ? '' : ', steered'}
                          </Button>
                        ) : (
                          'as it stands'
                        )}
                      </TableCell>
                      <TableCell>
                        {closed ? null : (
                          <Button variant="link" onClick={() => (near.allowed ? forbid(near) : allow(near))}>
                            {near.allowed ? 'may touch: take back' : 'may touch'}
                          </Button>
                        )}
                      </TableCell>
                    </TableRow>
                  ))}
              </TableBody>
            </Table>
          </TableContainer>
        )}
      </Box>
      <SegmentChecks segment="chassis" side="space" />
    </Apart>
  );
}
