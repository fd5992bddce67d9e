'use client';

import { Page } from '@/ui/layout/Page';
import clsx from 'clsx';
import frameCss from '@/ui/layout/frame.module.css';
import fieldsCss from '@/ui/fields.module.css';
import printCss from '@/features/print/print.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import { Tick } from '@/ui/controls/Tick';
import { type ReactNode, useMemo, useSyncExternalStore } from 'react';
import { assemblyOrder, hardwareCount, screwsWithoutJoint } from '@/core/worked/print/assembly';
import { stepPictures } from '@/core/worked/space/apart';
import { thingsOf } from '@/core/worked/space/thingsOfCar';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { say } from '@/words/findings';
import { useBuild } from '../session/BuildContext';
import { Charts, Readings } from '../frame/Guarded';
import { StepPicture } from './StepPicture';
import { Joints } from './fits/Joints';
import { keptTicks, keepTicks, onTicks } from './ticks';

/** What to lay out on the bench, and the order in which it goes together; a list to tick and to print. */
export function AssemblySide({ tabs }: { tabs: ReactNode }) {
  const { build, document, revision } = useBuild();
  const { reader } = useReader();
  const hardware = hardwareCount(document);
  const steps = assemblyOrder(document);
  const things = useMemo(() => thingsOf(document), [document]);
  const pictures = useMemo(
    () => new Map(stepPictures(document, things).map((one) => [one.id, one])),
    [document, things],
  );
  const loose = screwsWithoutJoint(document);
  const ticks = useSyncExternalStore(
    onTicks,
    () => keptTicks(revision.id),
    () => '',
  );
  const done = new Set(ticks.split(' ').filter(Boolean));
  const toggle = (id: string) =>
    keepTicks(
      revision.id,
      [...(done.has(id) ? [...done].filter((one) => one !== id) : [...done, id])].join(' '),
    );
  const count = hardware.reduce((sum, one) => sum + one.count, 0);
  const left = steps.filter(({ id }) => !done.has(id)).length;
  return (
    <Page>
      <div className={clsx(frameCss.bench, frameCss.noprint)}>
        <Joints />
        {loose.length > 0 ? (
          <Note>
            Their strength counts on screws that no joint here holds:{' '}
            {loose.map((name) => name.toLowerCase()).join(', ')}.
          </Note>
        ) : null}
      </div>
      <Readings>
        {tabs}
        <p className={frameCss.printonly}>
          {build.name}, revision {revision.letter}: assembly
        </p>
        <Typography variant="answer" data-testid="assembly-answer">
          {steps.length === 0 ? (
            'Add the joints of the car, and they are counted and put in order here.'
          ) : (
            <>
              {formatNumber(count, reader.locale)} pieces of hardware, {steps.length} steps
              {left < steps.length ? `, ${left === 0 ? 'all done' : `${left} to go`}` : ''}.
            </>
          )}
        </Typography>
        {steps.length > 0 ? (
          <>
            <Row className={frameCss.noprint} sx={{ mt: 1 }}>
              <Button onClick={() => window.print()}>Print this list</Button>
              {done.size > 0 ? (
                <Button variant="link" onClick={() => keepTicks(revision.id, '')}>
                  untick all
                </Button>
              ) : null}
            </Row>
            <Charts>
              <Box component="section" sx={{ flex: '0 1 260px' }} aria-label="Hardware">
                <Typography component="p" variant="label">
                  <span>Lay these out first</span>
                </Typography>
                <ul data-testid="hardware">
                  {hardware.map(({ key, called, count: number }) => (
                    <li key={key} className={fieldsCss.field}>
                      <span>{called}</span>
                      <Typography variant="reading">{number}</Typography>
                    </li>
                  ))}
                </ul>
              </Box>
              <Box component="section" sx={{ flex: '1 1 420px' }} aria-label="Steps">
                <Typography component="p" variant="label">
                  <span>Then, in this order: green is what is joined, pale what comes later</span>
                </Typography>
                <ol data-testid="steps">
                  {steps.map(({ id, says, count: number }, index) => (
                    <li key={id} className={printCss.tickrow}>
                      <label>
                        <Tick checked={done.has(id)} onChange={() => toggle(id)} />
                        <span>
                          <b>{index + 1}.</b> {say(says, reader)}
                          {number > 1 ? (
                            <Box component="b" sx={{ whiteSpace: 'nowrap' }}>
                              {' '}
                              {number} times
                            </Box>
                          ) : null}
                        </span>
                      </label>
                      <StepPicture things={things} step={pictures.get(id)!} />
                    </li>
                  ))}
                </ol>
              </Box>
            </Charts>
            <Note sx={{ mt: 10 }}>
              Pinion out and wheels off the ground before the pack goes in; inserts and irons are hot, wear
              something over your eyes when you cut.
            </Note>
          </>
        ) : null}
      </Readings>
    </Page>
  );
}
