'use client';

import briefCss from '@/features/brief/brief.module.css';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { assuming } from '@/core/car/assumed/assumed';
import { startingCar } from '@/core/car/library/startingCar';
import { tyreForBuild } from '@/core/car/library/items';
import { useReader } from '@/ui/reader';
import { describeValue } from '@/words/labels/describe';
import { labelOf } from '@/words/labels/labels';
import { Stages } from '../drive/gears/Stages';
import { DocumentField, Group } from '../fields/fields';
import { LibraryPick } from '../fields/LibraryPick';
import { segmentPath } from '../frame/segments';
import { useBuild } from '../session/BuildContext';
import { Surfaces } from './Surfaces';

const copied = ({ id, data }: { id: string; data: object }) => ({ libraryId: id, ...data });

/** The least that gives a speed, in the order in which it is chosen; what stands on the bench of the page is left out. */
export function FirstSteps({ on }: { on: 'brief' | 'drive' }) {
  'use memo';
  const { root, revision } = useBuild();
  return (
    <section className={briefCss.firststeps} aria-label="The least that gives a speed">
      {on === 'drive' ? (
        <>
          <Surfaces />
          <Group title="Size class">
            <LibraryPick kind="sizeClass" path={['brief', 'sizeClass']} copy={copied} />
          </Group>
        </>
      ) : null}
      <UsualCar />
      {on === 'brief' ? <DriveSteps /> : null}
      <Group title="Mass">
        <DocumentField path={['chassis', 'massG']} example={1550} />
        <Typography color="textSecondary">
          Wheelbase, tracks, centre of gravity and drag area stand in{' '}
          <Link href={segmentPath(root, revision.letter, 'chassis')}>Chassis</Link>.
        </Typography>
      </Group>
    </section>
  );
}

function DriveSteps() {
  'use memo';
  const { library } = useBuild();
  return (
    <>
      <Group title="Motor">
        <LibraryPick kind="motor" path={['drive', 'motor']} copy={copied} />
      </Group>
      <Group title="Pack and controller">
        <LibraryPick kind="battery" path={['power', 'battery']} copy={copied} />
        <LibraryPick kind="controller" path={['power', 'controller']} copy={copied} />
      </Group>
      <Stages />
      <Group title="Tyre">
        <LibraryPick kind="tyre" path={['drive', 'tyre']} copy={(item) => tyreForBuild(item, library)} />
      </Group>
    </>
  );
}

/** Fills in what is not chosen yet, and lists it first; all of it stays marked as assumed until it is touched. */
export function UsualCar() {
  'use memo';
  const { document, edit, closed, library } = useBuild();
  const { reader } = useReader();
  const patch = startingCar(document, library);
  if (closed || patch.length === 0) return null;
  return (
    <div className={briefCss.usualcar}>
      <Button variant="contained" onClick={() => edit(assuming(document, patch))}>
        Fill in a usual {document.brief.sizeClass!.name} car ({patch.length} figures)
      </Button>
      <Typography color="textSecondary" data-testid="usual-figures">
        {patch
          .map(
            ({ path, value }) => `${labelOf(path).label.toLowerCase()} ${describeValue(path, value, reader)}`,
          )
          .join(' · ')}
        . Each stays marked as assumed until you touch it.
      </Typography>
    </div>
  );
}
