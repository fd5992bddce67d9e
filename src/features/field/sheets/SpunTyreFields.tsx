import fieldsCss from '@/ui/fields.module.css';
import { Fold } from '@/ui/controls/Fold';
import { TextInput } from '@/ui/controls/TextInput';
import { useId } from 'react';
import type { SpunTyre } from '@/core/car/records/benchReport';
import { TYRE_HOLDS, type TyreHold } from '@/core/car/tyres/tyres';
import { HOLD_FIGURES } from '@/core/car/tyres/tyre.figures';
import {
  isHollowMake,
  KNOWN_TYRE_KINDS,
  type KnownTyreKind,
  usualHold,
  wholeMake,
} from '@/core/physics/tyres/tyreKinds';
import { QuantityField } from '@/ui/QuantityField';
import { HOLD_LABELS, HOLD_NAMES } from '@/words/labels/tyres';
import { Choice } from '../../fields/fields';

/** How the tyre on the bench is made and held; what is typical of its kind where nothing is given. */
export function SpunTyreFields({ tyre, onChange }: { tyre: SpunTyre; onChange(tyre: SpunTyre): void }) {
  const id = useId();
  const { kind, radiusMm, hold } = tyre;
  const by = hold.by ?? usualHold({ kind });
  const usual = wholeMake({ kind, radiusMm, rimRadiusMm: hold.rimRadiusMm });
  const set = (change: Partial<SpunTyre>) => onChange({ ...tyre, ...change });
  const setHold = (key: keyof TyreHold, value: unknown) =>
    set({
      hold: Object.fromEntries(
        Object.entries({ ...hold, [key]: value }).filter(([, one]) => one !== undefined),
      ),
    });
  const figure = (
    key: 'rimRadiusMm' | 'widthMm' | 'screws' | 'screwPreloadN' | 'interferenceMm' | 'wallMm',
  ) => {
    const declared = HOLD_FIGURES[key];
    if (!('quantity' in declared)) return null;
    const typical = key in usual ? usual[key] : undefined;
    return (
      <QuantityField
        label={HOLD_LABELS[key]}
        quantity={declared.quantity}
        limits={declared.limits}
        value={hold[key]}
        {...(typical ? { usual: typical } : {})}
        onChange={(value) => setHold(key, value)}
      />
    );
  };
  return (
    <Fold title={`${tyre.name}, ${kind}, held by ${HOLD_NAMES[by]}`}>
      <div className={fieldsCss.textField}>
        <label htmlFor={`${id}-name`}>Called</label>
        <TextInput
          id={`${id}-name`}
          value={tyre.name}
          maxLength={80}
          onChange={(event) => set({ name: event.target.value })}
        />
      </div>
      <Choice
        id={`${id}-kind`}
        label="Tyre on the bench"
        value={kind}
        disabled={false}
        options={KNOWN_TYRE_KINDS.map((one) => [one, one] as const)}
        onChange={(value) => set({ kind: value as KnownTyreKind })}
      />
      <Choice
        id={`${id}-hold`}
        label="Held by"
        value={by}
        disabled={false}
        options={TYRE_HOLDS.filter((one) => one !== 'bonded' || !isHollowMake({ kind })).map(
          (one) => [one, HOLD_NAMES[one]] as const,
        )}
        onChange={(value) => setHold('by', value)}
      />
      <QuantityField
        label="Radius at rest"
        quantity="lengthMm"
        limits={{ above: 0, to: 1000 }}
        value={radiusMm}
        onChange={(value) => (value === undefined ? undefined : set({ radiusMm: value }))}
      />
      {figure('rimRadiusMm')}
      {figure('widthMm')}
      {by === 'clamp' ? figure('screws') : null}
      {by === 'clamp' ? figure('screwPreloadN') : null}
      {by === 'friction' ? figure('interferenceMm') : null}
      {isHollowMake({ kind }) ? figure('wallMm') : null}
    </Fold>
  );
}
