'use client';

import frameCss from '@/ui/layout/frame.module.css';
import garageCss from '@/features/garage/garage.module.css';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import Button from '@mui/material/Button';
import { Note } from '@/ui/controls/Note';
import { readingOf } from '@/words/checkWords';
import { checkShort } from '@/words/checks/names';
import { glanceWords } from '@/words/stepWords';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Suspense, useMemo, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import type { GarageCar } from '@/core/advice/garage';
import type { DeletedThing } from '@/core/car/records/deleted';
import { formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { PlanSketch } from '@/ui/PlanSketch';
import { useReader } from '@/ui/reader';
import { StateMark } from '@/ui/StateMark';
import { STATE_WORDS } from '@/words/states';
import type { Place } from '../frame/jump/placesFor';
import { HouseNav } from '../account/HouseNav';
import { HelpBeside } from '../help/HelpBeside';
import { toggleHelp } from '../help/shownHelp';
import { Preferences } from '../frame/Preferences';
import { useKeys } from '../frame/useKeys';
import { Working } from '../session/access';
import { sendNow, useWaiting } from '../session/waiting';
import { ImportBuild } from './ImportBuild';
import { CarActs } from './CarActs';
import { Deleted } from './Deleted';
import { HowItGoes } from './HowItGoes';
import { NewBuild } from './NewBuild';
import { problemOf } from '@/words/refusals/problemOf';
import { foundCars, GARAGE_SORTS, type GarageSort } from './foundCars';
import { GARAGE_SORT_WORDS } from '@/words/labels/garage';
import { Select } from '@/ui/controls/Select';
import { TextInput } from '@/ui/controls/TextInput';

/** From so many on they are searched and sorted. */
const MANY_CARS = 10;
/** Whoever has more knows how it goes. */
const FEW_CARS = 3;

const Palette = dynamic(async () => (await import('../frame/jump/Palette')).Palette);

/** All builds with what each does and what to do next. */
interface GarageProps {
  cars: readonly GarageCar[];
  deleted: readonly DeletedThing[];
}

export function Garage({ cars, deleted }: GarageProps) {
  const router = useRouter();
  const [over, setOver] = useState<'jump'>();
  const [text, setText] = useState('');
  const [sort, setSort] = useState<GarageSort>('oldest');
  const shown = foundCars(cars, text, sort);
  useKeys({ '/': () => setOver('jump'), '?': () => toggleHelp('start'), g: () => undefined });
  const places = useMemo<Place[]>(
    () => [
      ...cars.map(({ id, name, revision }) => ({
        label: name,
        hint: `revision ${revision.letter}`,
        href: `/builds/${id}/${revision.letter}/drive`,
      })),
      {
        label: 'Library',
        hint: 'motors, packs, controllers, tyres, surfaces',
        href: '/library',
      },
      { label: 'Workshop', hint: 'members, invitations, the whole of it as one file', href: '/workshop' },
    ],
    [cars],
  );
  return (
    <>
      <header className={frameCss.head}>
        <span className={frameCss.name}>Lean Badger</span>
        <HouseNav at="/" />
        <span className={frameCss.push} />
        <Preferences />
        <Button variant="text" onClick={() => setOver('jump')}>
          jump <kbd>/</kbd>
        </Button>
        <Button variant="text" className={frameCss.wide} onClick={() => toggleHelp('start')}>
          help <kbd>?</kbd>
        </Button>
      </header>
      <Box className={frameCss.stripe} sx={{ height: 12 }} aria-hidden="true" />
      <main className={frameCss.garage}>
        <Typography variant="answer">
          {cars.length === 0
            ? 'Start with a name. The rest follows from what the car is for.'
            : `${cars.length} car${cars.length === 1 ? '' : 's'} in the garage.`}
        </Typography>
        <Working>
          <Row sx={{ mt: 1.25, justifyContent: 'space-between' }}>
            <NewBuild />
            <ImportBuild />
          </Row>
        </Working>
        <StillHere />
        {cars.length >= MANY_CARS ? (
          <Row role="search">
            <TextInput
              aria-label="Find a car by its name"
              placeholder="find a car"
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
            <Row as="label">
              <Typography component="span" color="textSecondary">
                sorted by
              </Typography>
              <Select
                look="bare"
                aria-label="Sorted by"
                value={sort}
                onChange={(event) => setSort(event.target.value as GarageSort)}
              >
                {GARAGE_SORTS.map((one) => (
                  <option key={one} value={one}>
                    {GARAGE_SORT_WORDS[one]}
                  </option>
                ))}
              </Select>
            </Row>
            <Typography component="span" color="textSecondary" role="status">
              {shown.length === cars.length ? '' : `${shown.length} of ${cars.length}`}
            </Typography>
          </Row>
        ) : null}
        <div className={garageCss.cars}>
          {shown.map((car) => (
            <ErrorBoundary key={car.id} fallback={<Ailing car={car} />}>
              <Suspense fallback={null}>
                {car.ails === undefined ? <Car car={car} /> : <Ailing car={car} />}
              </Suspense>
            </ErrorBoundary>
          ))}
        </div>
        {cars.length <= FEW_CARS ? <HowItGoes /> : null}
        <Working>
          <Deleted things={deleted} />
        </Working>
      </main>
      {over === 'jump' ? (
        <Palette places={places} onGo={(href) => router.push(href)} onClose={() => setOver(undefined)} />
      ) : null}
      <HelpBeside page="start" />
    </>
  );
}

/** What was entered on this device and is not sent yet, of whichever build. */
function StillHere() {
  const waiting = useWaiting();
  if (waiting.length === 0) return null;
  return (
    <Note role="status">
      {waiting.length === 1 ? 'One entry waits' : `${waiting.length} entries wait`} on this device to be sent.{' '}
      <Button onClick={() => void sendNow()}>Send now</Button>
    </Note>
  );
}

/** A build of which nothing can be shown but that it is there. */
function Ailing({ car }: { car: GarageCar }) {
  const { reader } = useReader();
  return (
    <article className={garageCss.car} aria-label={car.name}>
      <Link href={`/builds/${car.id}/${car.revision.letter}/brief`} className={garageCss.face}>
        <h2>
          {car.name}{' '}
          <Typography component="span" variant="aside" color="textSecondary">
            {car.revision.letter}
          </Typography>
        </h2>
        <Note tone="bad" role="alert">
          Nothing could be worked out of this build
          {car.ails
            ? `: ${typeof car.ails === 'string' ? car.ails : problemOf(car.ails, reader).message}`
            : ''}
          . {glanceWords(car.next, reader)}
        </Note>
      </Link>
      <CarActs car={car} />
    </article>
  );
}

function Car({ car }: { car: GarageCar }) {
  const { reader } = useReader();
  const speed = (value: number) => formatText(value, 'speedMps', reader);
  const { tightest, measured } = car;
  return (
    <article className={garageCss.car} aria-label={car.name}>
      <Link
        href={`/builds/${car.id}/${car.revision.letter}/${car.predictedMps === undefined ? 'brief' : 'drive'}`}
        className={garageCss.face}
      >
        <h2>
          {car.name}{' '}
          <Typography component="span" variant="aside" color="textSecondary">
            {car.revision.letter}, {car.revisions} revision{car.revisions === 1 ? '' : 's'}
          </Typography>
        </h2>
        <div className={garageCss.facts}>
          <div className={garageCss.plan}>
            <PlanSketch
              chassis={car.document.chassis}
              tyreRadiusMm={car.document.drive.tyre?.radiusMm}
              driven={car.document.drive.drivenAxles}
              width={scaleWidth(car)}
            />
          </div>
          <dl>
            <dt>Predicted</dt>
            <dd>
              {car.predictedMps === undefined
                ? 'not yet'
                : `${speed(car.predictedMps)} on ${car.surface!.toLowerCase()}`}
            </dd>
            <dt>Measured</dt>
            <Typography component="dd" color={measured ? 'info' : 'inherit'}>
              {measured
                ? `${formatWithError(measured.speedMps, measured.errorMps, 'speedMps', reader)} (${measured.letter})`
                : 'no run yet'}
            </Typography>
            <dt>Tightest</dt>
            <dd>{tightest ? <TightestWords car={car} /> : 'nothing worked out yet'}</dd>
            <dt>Next</dt>
            <dd className={garageCss.next}>{glanceWords(car.next, reader)}</dd>
          </dl>
        </div>
      </Link>
      <CarActs car={car} />
    </article>
  );
}

const PX_PER_MM = 0.62;
const WIDEST_PX = 260;
const TALLEST_PX = 190;

/** All plans of the garage in one scale, so that a small car looks small. */
function scaleWidth({ document }: GarageCar): number {
  const { wheelbaseMm = 0, trackFrontMm = 0, trackRearMm = 0 } = document.chassis;
  const radius = document.drive.tyre?.radiusMm ?? 30;
  const [long, wide] = [wheelbaseMm + 2 * radius + 16, Math.max(trackFrontMm, trackRearMm, 1)];
  return Math.min(WIDEST_PX, PX_PER_MM * long, (TALLEST_PX * long) / wide);
}

function TightestWords({ car }: { car: GarageCar }) {
  const { reader } = useReader();
  const check = car.tightest!;
  if (check.value === undefined)
    return (
      <>
        <StateMark state={check.state} /> {STATE_WORDS[check.state]}: {checkShort(check)}
      </>
    );
  const { text, against } = readingOf(check, reader)!;
  return (
    <>
      <StateMark state={check.state} /> {STATE_WORDS[check.state]}: {checkShort(check)} {text}
      {against ? `, ${against}` : ''}
    </>
  );
}
