'use client';

import fieldsCss from '@/ui/fields.module.css';
import frameCss from '@/ui/layout/frame.module.css';
import { Select } from '@/ui/controls/Select';
import type { ReactNode } from 'react';
import { labelOf } from '@/words/labels/labels';
import { type Patch, type Path, valueAt } from '@/core/base/patch';
import { isAssumedItself } from '@/core/car/assumed/assumed';
import { isUnfinished } from '@/core/car/unfinished/unfinished';
import { QuantityField } from '@/ui/QuantityField';
import { termOf } from '@/words/help/termOf';
import { TermMark } from '../help/TermMark';
import { useBuild } from '../session/BuildContext';

/** A number of the document by its path: label, unit, limits and ghost come with it. */
export function DocumentField({
  path,
  label,
  example,
  usual,
  digits,
  after,
}: {
  path: Path;
  label?: string;
  example?: number;
  usual?: number;
  digits?: number;
  after?: ReactNode;
}) {
  'use memo';
  const { document, ghost, edit, session, closed } = useBuild();
  const known = labelOf(path);
  const term = termOf(path);
  return (
    <div data-path={path.join('.')} onBlur={() => session.endStep()}>
      <QuantityField
        label={label ?? known.label}
        quantity={known.quantity ?? 'coefficient'}
        value={valueAt(document, path) as number | undefined}
        unfinished={isUnfinished(document, path)}
        assumed={isAssumedItself(document, path)}
        ghost={ghost ? (valueAt(ghost.document, path) as number | undefined) : undefined}
        limits={known.limits}
        example={example}
        usual={usual}
        digits={digits}
        disabled={closed}
        after={after}
        mark={term ? <TermMark term={term} /> : undefined}
        onChange={(value) => edit([{ path, value }], path.join('.'))}
      />
    </div>
  );
}

/** One of a few words. */
export function DocumentChoice<T extends string>({
  path,
  label,
  options,
  empty,
  also,
}: {
  path: Path;
  label?: string;
  options: readonly (readonly [T, string])[];
  empty?: string;
  /** What changes along with it. */
  also?: Patch;
}) {
  'use memo';
  const { document, edit, closed } = useBuild();
  const name = label ?? labelOf(path).label;
  const value = valueAt(document, path) as T | undefined;
  return (
    <div className={fieldsCss.field} data-path={path.join('.')}>
      <label htmlFor={path.join('-')}>{name}</label>
      <Select
        id={path.join('-')}
        value={value ?? ''}
        disabled={closed}
        onChange={(event) =>
          edit([{ path, value: event.target.value === '' ? undefined : event.target.value }, ...(also ?? [])])
        }
      >
        {value === undefined || empty ? <option value="">{empty ?? 'choose'}</option> : null}
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
    </div>
  );
}

export function Group({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  'use memo';
  return (
    <section className={frameCss.group} aria-label={title}>
      <h2>
        {title}
        {aside ? <span>{aside}</span> : null}
      </h2>
      {children}
    </section>
  );
}

interface ChoiceProps {
  id: string;
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
  disabled: boolean;
  onChange(value: string): void;
}

/** A choice whose values are not the document's own. */
export function Choice({ id, label, value, options, disabled, onChange }: ChoiceProps) {
  'use memo';
  return (
    <div className={fieldsCss.field}>
      <label htmlFor={id}>{label}</label>
      <Select id={id} value={value} disabled={disabled} onChange={(event) => onChange(event.target.value)}>
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </Select>
    </div>
  );
}
