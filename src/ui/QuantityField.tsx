'use client';

import clsx from 'clsx';
import fieldsCss from '@/ui/fields.module.css';
import { TextInput } from './controls/TextInput';
import { flushSync } from 'react-dom';
import {
  type ReactNode,
  type Ref,
  useEffect,
  useImperativeHandle,
  useEffectEvent,
  useId,
  useRef,
  useState,
} from 'react';
import { LEAST_POSITIVE, type Limits } from '@/core/car/fields/fieldLabel';
import { formatQuantity, formatText } from '@/core/base/units/formatQuantity';
import { parseQuantity, type WrongText } from '@/core/base/units/parseQuantity';
import { type QuantityName, unitOf } from '@/core/base/units/quantities';
import { useReader } from './reader';
import { useSelectOnEntry } from './useSelectOnEntry';

export interface QuantityFieldProps {
  label: string;
  quantity: QuantityName;
  value: number | undefined;
  onChange(value: number | undefined): void;
  limits?: Limits;
  /** Shown in the empty field, in stored units. */
  example?: number;
  /** What counts while the field is empty, in stored units. */
  usual?: number;
  /** Emptied, though a figure is needed: the value goes on counting. */
  unfinished?: boolean;
  /** Filled in for the builder and not touched since. */
  assumed?: boolean;
  /** The same field in the ghost. */
  ghost?: number;
  disabled?: boolean;
  digits?: number;
  after?: ReactNode;
  /** What stands behind the label and is none of it. */
  mark?: ReactNode;
  autoFocus?: boolean;
  /** What the sheet that it stands on has against it. */
  problem?: string | undefined;
  ref?: Ref<HTMLInputElement>;
}

/** A number with its unit. It accepts other units, says what it understood, and keeps what is not valid without saving it. */
export function QuantityField({
  label,
  quantity,
  value,
  onChange,
  limits,
  example,
  usual,
  unfinished = false,
  assumed = false,
  ghost,
  disabled,
  digits = 5,
  after,
  mark,
  autoFocus,
  problem,
  ref,
}: QuantityFieldProps) {
  'use memo';
  const { reader, marks } = useReader();
  const id = useId();
  const [text, setText] = useState<string>();
  const focused = useRef(false);
  const entry = useSelectOnEntry();
  const before = useRef<{ value: number | undefined; unfinished: boolean }>({ value, unfinished });
  const input = useRef<HTMLInputElement>(null);
  useImperativeHandle(ref, () => input.current!);
  const unit = unitOf(quantity, reader.units);
  const counting = value === undefined ? '' : formatQuantity(value, quantity, reader, digits).number;
  const shown = unfinished ? '' : counting;

  useEffect(() => {
    if (!focused.current) setText(undefined);
  }, [value, reader.units]);

  const takeEarlyTyping = useEffectEvent(() => {
    const typed = input.current?.value ?? shown;
    if (typed === shown) return;
    focused.current = document.activeElement === input.current;
    type(typed);
  });
  // a page that was typed into before it came alive keeps what was typed
  useEffect(() => takeEarlyTyping(), []);

  const say =
    (text === undefined ? undefined : judge(text)) ??
    (problem === undefined ? undefined : { bad: true, words: problem }) ??
    (unfinished
      ? {
          bad: false,
          words: `unfinished: ${formatText(value ?? 0, quantity, reader, digits)} goes on counting`,
        }
      : undefined);

  function judge(typed: string): { bad: boolean; words: string; value?: number } | undefined {
    if (typed.trim() === '') return undefined;
    const parsed = parseQuantity(typed, quantity, reader.units, marks);
    if (!parsed.ok) return { bad: true, words: wrongWords(parsed.wrong) };
    const out = outside(parsed.value, limits);
    if (out)
      return {
        bad: true,
        words: `${label} must be ${out.word} ${formatText(out.limit, quantity, reader, 4)}`,
      };
    const plain = !parsed.sum && parsed.unit.symbol === unit.symbol && !/[.,]\d{3}\b/.test(typed);
    return {
      bad: false,
      words: plain ? '' : `= ${formatText(parsed.value, quantity, reader, 4)}`,
      value: parsed.value,
    };
  }

  function type(typed: string) {
    setText(typed);
    if (typed.trim() === '') return onChange(undefined);
    const verdict = judge(typed);
    if (verdict && !verdict.bad) onChange(verdict.value);
  }

  /** What stood there when the field was entered. */
  function restore() {
    setText(undefined);
    const { value: was, unfinished: open } = before.current;
    if (was !== value || open !== unfinished) onChange(was);
    if (open) onChange(undefined);
  }

  return (
    <div className={fieldsCss.field} data-field>
      {mark ? (
        <span>
          <label htmlFor={id}>
            {label}
            {after}
          </label>
          {mark}
        </span>
      ) : (
        <label htmlFor={id}>
          {label}
          {after}
        </label>
      )}
      <span className={fieldsCss.entry}>
        {assumed ? <span className={fieldsCss.assumed}>assumed</span> : null}
        {ghost !== undefined && ghost !== value ? (
          <span className={fieldsCss.ghostvalue} title="in the ghost">
            {formatQuantity(ghost, quantity, reader, 4).number} →&nbsp;
          </span>
        ) : null}
        <TextInput
          ref={input}
          id={id}
          inputMode="decimal"
          autoComplete="off"
          autoFocus={autoFocus}
          disabled={disabled}
          value={text ?? shown}
          placeholder={
            unfinished
              ? counting
              : usual !== undefined
                ? formatQuantity(usual, quantity, reader, 3).number
                : example === undefined
                  ? ''
                  : `e.g. ${formatQuantity(example, quantity, reader, 4).number}`
          }
          aria-invalid={say?.bad === true}
          aria-describedby={say?.words ? `${id}-say` : undefined}
          data-unfinished={unfinished || undefined}
          onFocus={(event) => {
            focused.current = true;
            before.current = { value, unfinished };
            entry.onFocus(event);
          }}
          onMouseUp={entry.onMouseUp}
          onBlur={() => {
            focused.current = false;
            if (!say?.bad) setText(undefined);
          }}
          onChange={(event) => {
            // also where it was focused before the page came alive
            focused.current = true;
            type(event.target.value);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Escape') {
              // at once: what is typed next goes over it, and none of it is lost to a later selection
              flushSync(restore);
              input.current?.select();
            }
            if (event.key === 'Enter' && !event.currentTarget.form) event.currentTarget.blur();
          }}
        />
        <span className={fieldsCss.unit} data-unit>
          {quantity === 'price' ? reader.currency : unit.symbol}
        </span>
      </span>
      {say?.words ? (
        <span
          id={`${id}-say`}
          className={clsx(fieldsCss.say, say.bad && fieldsCss.bad)}
          role={say.bad ? 'alert' : undefined}
        >
          {say.words}
        </span>
      ) : null}
    </div>
  );
}

function outside(value: number, limits: Limits | undefined): { word: string; limit: number } | undefined {
  if (!limits) return undefined;
  if (limits.above !== undefined && !(value > limits.above)) return { word: 'above', limit: limits.above };
  if (limits.above === 0 && value < LEAST_POSITIVE) return { word: 'at least', limit: LEAST_POSITIVE };
  if (limits.from !== undefined && value < limits.from) return { word: 'at least', limit: limits.from };
  if (limits.below !== undefined && !(value < limits.below)) return { word: 'below', limit: limits.below };
  if (limits.to !== undefined && value > limits.to) return { word: 'at most', limit: limits.to };
  return undefined;
}

function wrongWords(wrong: WrongText): string {
  switch (wrong.kind) {
    case 'noNumber':
      return `"${wrong.text}" is not a number`;
    case 'takesNoUnit':
      return 'write a number without a unit';
    case 'unknownUnit':
      return `"${wrong.unit}" is no unit here; use ${wrong.known.join(', ')}`;
  }
}
