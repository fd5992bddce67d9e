'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { endOf } from '@/core/worked/suspension/endOfBuild';
import { hardestForces } from '@/core/worked/links/linksOfBuild';
import { judgedLink } from '@/core/worked/parts/heldLinks';
import { Note } from '@/ui/controls/Note';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';
import { forcesAnswer, WHEEL_LOAD_TERMS } from '@/words/checks/links';
import { firstUp } from '@/words/lists';
import { sayAll } from '@/words/findings';
import '@/words/later/bringIn';
import { workerOf } from '@/workers/clients';
import { Choice, DocumentField, Group } from '../../fields/fields';
import { Ask } from '../../frame/Ask';
import { Bench, Charts, Readings } from '../../frame/Guarded';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import type { SideProps } from '../side';
import { ForcePicture } from './ForcePicture';
import { LinkTable, MountTable } from './LinkTables';
import { Withstands } from './Withstands';
import { Refusal } from '../../fields/Refusal';

/** What landing, kerb, corner, brake, drive and a stalled servo do to every link of one end, and to the chassis. */
export function ForcesSide({ end, tabs, foot }: SideProps) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const worked = useWorked(
    () => workerOf('suspension').links(document, end, surface),
    [document, end, surface],
  );
  const found = worked.value?.ok ? worked.value.value : undefined;
  const hardest = useMemo(() => (found ? hardestForces(found) : undefined), [found]);
  const [chosen, choose] = useState<{ load?: string; travelMm?: number; rackMm?: number; link?: string }>({});
  const drawn = endOf(document, end);
  const judged = (document.suspension[end]?.held ?? []).flatMap((held) => {
    const one = judgedLink(document, end, surface, held);
    return one.ok ? [{ link: held.id, ...one.value }] : [];
  });
  const worst = judged.reduce<(typeof judged)[number] | undefined>(
    (least, one) => (least && least.margin <= one.margin ? least : one),
    undefined,
  );
  const stations = found?.stations ?? [];
  const racks = [...new Set(stations.map(({ rackMm }) => rackMm))];
  const rackMm = racks.find((rack) => rack === chosen.rackMm) ?? (racks.includes(0) ? 0 : racks[0]);
  const here = stations.filter((station) => station.rackMm === rackMm);
  const nearest = here.reduce<(typeof here)[number] | undefined>(
    (best, one) =>
      best &&
      Math.abs(best.travelMm - (chosen.travelMm ?? 0)) <= Math.abs(one.travelMm - (chosen.travelMm ?? 0))
        ? best
        : one,
    undefined,
  );
  const load = nearest?.loads.find(({ name }) => name === chosen.load) ?? nearest?.loads[0];
  const members = found ? Object.keys(found.worst) : [];
  const mostN = Math.max(
    1,
    ...(found
      ? Object.values(found.worst).flatMap(({ tensionN, compressionN }) => [tensionN, compressionN])
      : []),
  );
  const links = hardest ? [...hardest.keys()] : [];
  const link = chosen.link !== undefined && links.includes(chosen.link) ? chosen.link : links[0];
  return (
    <>
      <Bench>
        {load && nearest ? (
          <Group title="Shown">
            <Choice
              id="shown-load"
              label="Under"
              value={load.name}
              disabled={false}
              options={nearest.loads.map(
                ({ name }) => [name, firstUp(WHEEL_LOAD_TERMS[name] ?? name)] as const,
              )}
              onChange={(name) => choose({ ...chosen, load: name })}
            />
            <QuantitySlider
              label="Wheel at"
              quantity="lengthMm"
              value={nearest.travelMm}
              min={here[0]!.travelMm}
              max={here.at(-1)!.travelMm}
              step={1}
              onChange={(travelMm) => choose({ ...chosen, travelMm })}
            />
            {racks.length > 1 ? (
              <Choice
                id="shown-rack"
                label="Steered"
                value={String(rackMm)}
                disabled={false}
                options={racks.map((rack) => [
                  String(rack),
                  rack === 0 ? 'straight ahead' : rack > 0 ? 'rack to the left' : 'rack to the right',
                ])}
                onChange={(rack) => choose({ ...chosen, rackMm: Number(rack) })}
              />
            ) : null}
          </Group>
        ) : null}
        <Group title="What the wheel meets">
          <DocumentField path={['brief', 'dropHeightM']} label="Lands from" example={0.3} />
          <DocumentField path={['brief', 'kerbMps']} label="Meets a kerb at" example={4} />
          {end === 'front' ? (
            <DocumentField path={['suspension', 'steering', 'saverNm']} example={0.8} />
          ) : null}
        </Group>
        {link === undefined ? null : (
          <Withstands
            end={end}
            links={links}
            link={link}
            isJoint={!members.includes(link)}
            onChoose={(next) => choose({ ...chosen, link: next })}
          />
        )}
      </Bench>
      <Readings>
        {tabs}
        <Ask>
          <Refusal of={worked} />
          {worked.value && !worked.value.ok ? (
            <StillNeeds missing={worked.value.missing} />
          ) : (
            <Typography variant="answer" data-testid="forces-answer">
              {hardest ? forcesAnswer(end, hardest, worst, reader) : 'Being worked out.'}
            </Typography>
          )}
          <SurfaceSwitch />
        </Ask>
        {found && hardest && load && nearest && drawn.ok ? (
          <Box sx={dimmedWhen(worked.stale)}>
            <Charts>
              <ForcePicture
                corner={drawn.value.corner}
                travelMm={nearest.travelMm}
                rackMm={nearest.rackMm}
                load={load}
                mostN={mostN}
              />
            </Charts>
            {[...found.findings.map(({ why }) => why), ...found.notes].map((why, k) => (
              <Note key={k}>{sayAll([why], reader)}</Note>
            ))}
            <LinkTable end={end} hardest={hardest} onChoose={(next) => choose({ ...chosen, link: next })} />
            <SegmentChecks
              segment="parts"
              only={(document.suspension[end]?.held ?? []).map(({ id }) => `links.${end}.${id}`)}
            />
            <MountTable load={load} />
            <Typography variant="small" color="textSecondary">
              Statics without friction and masses. A shared load, a mount that gives or a screw that is loose
              is not in it.
            </Typography>
          </Box>
        ) : null}
        {foot}
      </Readings>
    </>
  );
}
