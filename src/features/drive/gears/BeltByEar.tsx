'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { CalcError } from '@/core/base/errors';
import type { Stage } from '@/core/car/stages/stage';
import { beltDrive } from '@/core/physics/transmissions/belt';
import { beltInputOf } from '@/core/worked/transmissions/beltOfBuild';
import { Note } from '@/ui/controls/Note';
import { Row } from '@/ui/layout/Row';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { workerOf } from '@/workers/clients';
import { heardSentence, NO_MICROPHONE, tuneSentence } from '@/words/driving/belts';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { listen } from './listen';

/** A belt tuned by the tone of a plucked span: to what, and what one that is heard says. */
export function BeltByEar({ stage }: { stage: Stage }) {
  const { document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  const [hz, setHz] = useState<number>();
  const belts = useWorked(surface ? () => workerOf('drive').belts(document, surface) : undefined, [
    document,
    surface,
  ]);
  const loaded = belts.value?.ok ? belts.value.value.find((one) => one.stage.id === stage.id) : undefined;
  const neededN = loaded?.found.pretensionNeededN;
  const toneOf = (pretensionN: number) => beltAt(stage, { pretensionN })?.spanFrequencyHz;
  const tuned = neededN === undefined ? undefined : toneOf(neededN);
  const heard = hz === undefined ? undefined : beltAt(stage, { measuredHz: hz });
  const tension = heard?.measuredTensionN;
  return (
    <section aria-label="Tuned by ear">
      <Typography variant="heading" sx={{ mt: 2 }}>
        Tuned by ear
      </Typography>
      {neededN !== undefined && tuned !== undefined ? (
        <Typography data-testid="tune-to">{tuneSentence({ neededN, hz: tuned }, reader)}</Typography>
      ) : null}
      <Row sx={{ gap: 2, mt: 1, maxWidth: 460 }}>
        <QuantityField
          label="It sounds at"
          quantity="frequencyHz"
          value={hz}
          {...(tuned === undefined ? {} : { example: Math.round(tuned) })}
          limits={{ above: 0, to: 5000 }}
          onChange={setHz}
        />
        <Listen onTone={setHz} />
      </Row>
      {heard && tension !== undefined ? (
        <Row sx={{ gap: 2, mt: 1 }}>
          <Typography data-testid="heard">{heardSentence(heard, hz!, reader)}</Typography>
          {closed ? null : (
            <Button
              onClick={() =>
                edit([
                  {
                    path: ['drive', 'stages', stage.id, 'pretensionN'],
                    value: Number(tension.toPrecision(3)),
                  },
                ])
              }
            >
              Take it as set
            </Button>
          )}
        </Row>
      ) : null}
      <Typography variant="small" color="textSecondary" sx={{ mt: 1 }}>
        Unplug the pack, then pluck the span between the pulleys. The sound stays on this device.
      </Typography>
    </section>
  );
}

function beltAt(stage: Stage, more: { pretensionN?: number; measuredHz?: number }) {
  try {
    return beltDrive({ ...beltInputOf(stage), ...more });
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return undefined;
  }
}

/** Hears the span through the microphone until it is pressed again. */
function Listen({ onTone }: { onTone(hz: number): void }) {
  const [state, setState] = useState<'off' | 'on' | 'none'>('off');
  const stop = useRef<() => void>(undefined);
  useEffect(() => () => stop.current?.(), []);
  const press = async () => {
    if (state === 'on') {
      stop.current?.();
      return setState('off');
    }
    try {
      stop.current = await listen((samples, rate) => workerOf('drive', 1).tone(samples, rate), onTone);
      setState('on');
    } catch {
      setState('none');
    }
  };
  return (
    <>
      <Button onClick={() => void press()} aria-pressed={state === 'on'}>
        {state === 'on' ? 'Stop listening' : 'Listen'}
      </Button>
      {state === 'none' ? <Note tone="bad">{NO_MICROPHONE}</Note> : null}
    </>
  );
}
