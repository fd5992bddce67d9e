import fieldsCss from '@/ui/fields.module.css';
import clsx from 'clsx';
import sheetsCss from '@/features/field/sheets/sheets.module.css';
import { useState } from 'react';
import { CrashPlace } from './CrashPlace';
import { CAR_ZONES, ZONE_OF } from '@/core/car/parts/carZones';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import { Row } from '@/ui/layout/Row';
import { Select } from '@/ui/controls/Select';
import { TextInput } from '@/ui/controls/TextInput';
import { Tick } from '@/ui/controls/Tick';
import Button from '@mui/material/Button';
import { Toggle } from '@/ui/controls/Toggle';
import {
  CRASH_SIDES,
  type CrashSide,
  type DamagedPart,
  type MeasuredCrash,
} from '@/core/car/records/benchReport';
import { FAILURE_MODES, type FailureMode } from '@/core/car/records/failureModes';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { CAR_ZONE_WORDS, CRASH_SIDE_WORDS } from '@/words/bench/crashWords';
import { FAILURE_MODE_WORDS } from '@/words/learn/failureModes';
import { Choice } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';
import type { SheetProps } from './Tried';

/** What a blow breaks most often. */
const USUAL_MODE: FailureMode = 'crack';

/** What it hit, how fast it was, and everything that broke: the first cause before what came of it. */
export function CrashSheet({ report, onChange }: SheetProps) {
  const { document, runs } = useBuild();
  const { reader } = useReader();
  const [trackShown, showTrack] = useState(false);
  const crash = report.crash ?? {};
  const { damaged = [] } = crash;
  const track = runs.filter(({ track: kept }) => kept?.topSpeedMps !== undefined).at(-1)?.track;
  const set = (change: Partial<MeasuredCrash>) => {
    const next = Object.fromEntries(
      Object.entries({ ...crash, ...change }).filter(([, value]) => value !== undefined),
    );
    onChange({ crash: Object.keys(next).length > 0 ? next : undefined });
  };
  const setDamaged = (list: DamagedPart[]) => set({ damaged: list.length > 0 ? list : undefined });
  /** Whole, broke first, broke after that, whole again. */
  const tap = (partId: string, name: string) => {
    const known = damaged.find((one) => one.partId === partId);
    if (!known)
      return setDamaged([
        ...damaged,
        { partId, name, mode: USUAL_MODE, came: damaged.length === 0 ? 'first' : 'after' },
      ]);
    if (known.came === 'first')
      return setDamaged(damaged.map((one) => (one === known ? { ...one, came: 'after' } : one)));
    return setDamaged(damaged.filter((one) => one !== known));
  };
  return (
    <>
      <div className={fieldsCss.textField}>
        <label htmlFor="what-hit">It hit</label>
        <TextInput
          id="what-hit"
          value={report.hit ?? ''}
          maxLength={200}
          placeholder="e.g. a kerb stone, front right wheel"
          onChange={(event) => onChange({ hit: event.target.value === '' ? undefined : event.target.value })}
        />
      </div>
      <QuantityField
        label="At about"
        quantity="speedMps"
        limits={{ from: 0, to: 150 }}
        value={report.speedMps}
        onChange={(value) => onChange({ speedMps: value })}
      />
      {track?.topSpeedMps === undefined || report.speedMps !== undefined ? null : (
        <>
          <Button variant="link" onClick={() => onChange({ speedMps: track.topSpeedMps })}>
            As fast as the last track, {formatText(track.topSpeedMps, 'speedMps', reader)}
          </Button>
          <Button variant="link" onClick={() => showTrack(!trackShown)}>
            {trackShown ? 'Put the track away' : 'By the place on that track'}
          </Button>
          {trackShown ? (
            <CrashPlace hash={track.hash} onTake={(value) => onChange({ speedMps: value })} />
          ) : null}
        </>
      )}
      <Choice
        id="crash-side"
        label="With its"
        value={crash.side ?? ''}
        disabled={false}
        options={[['', 'not said'], ...CRASH_SIDES.map((one) => [one, CRASH_SIDE_WORDS[one]] as const)]}
        onChange={(value) => set({ side: value === '' ? undefined : (value as CrashSide) })}
      />
      <Typography sx={{ mt: 1 }}>
        Tap what broke: once for what broke first, again for what came of it, a third time for whole.
      </Typography>
      <div role="group" aria-label="Parts that broke" className={sheetsCss.car}>
        {CAR_ZONES.map((zone) => {
          const here = document.parts.items.filter(({ kind }) => ZONE_OF[kind] === zone);
          return here.length === 0 ? null : (
            <div key={zone} className={clsx(sheetsCss.zone, zone === 'corners' && sheetsCss.corners)}>
              <Typography variant="small" color="textSecondary">
                {CAR_ZONE_WORDS[zone]}
              </Typography>
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
                {here.map(({ id, name }) => {
                  const one = damaged.find(({ partId }) => partId === id);
                  return (
                    <Toggle key={id} pressed={one !== undefined} onPress={() => tap(id, name)}>
                      {name}
                      {one ? (one.came === 'first' ? ': first' : ': after') : ''}
                    </Toggle>
                  );
                })}
              </Box>
            </div>
          );
        })}
      </div>
      {damaged.map((one) => (
        <div key={one.partId} className={fieldsCss.field}>
          <label htmlFor={`broke-${one.partId}`}>{one.name}</label>
          <Select
            id={`broke-${one.partId}`}
            value={one.mode}
            onChange={(event) =>
              setDamaged(
                damaged.map((other) =>
                  other === one ? { ...one, mode: event.target.value as FailureMode } : other,
                ),
              )
            }
          >
            {FAILURE_MODES.map((mode) => (
              <option key={mode} value={mode}>
                {FAILURE_MODE_WORDS[mode].name}
              </option>
            ))}
          </Select>
        </div>
      ))}
      <Row as="label" sx={{ flexWrap: 'nowrap', my: 1 }}>
        <Tick
          checked={crash.packHit === true}
          onChange={(event) => set({ packHit: event.target.checked || undefined })}
        />{' '}
        The pack took the blow
      </Row>
      <Note tone={crash.packHit ? 'bad' : 'caution'}>
        A pack that took the blow stays outside on stone for a day, away from everything that burns, and is
        not charged before; never again if it has swollen or smells. Local rules go first.
      </Note>
    </>
  );
}
