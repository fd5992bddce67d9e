import type { Description, Schema } from 'joi';
import { randomFrom } from '@/core/base/numeric/random';

type Draw = () => number;
/** What Joi tells of a schema, as far as a value can be drawn from it. */
interface Told extends Omit<
  Description,
  'flags' | 'rules' | 'keys' | 'items' | 'allow' | 'whens' | 'matches'
> {
  flags?: { only?: boolean; presence?: string; override?: boolean };
  allow?: unknown[];
  rules?: { name: string; args?: { limit?: number; regex?: string } }[];
  keys?: Record<string, Told>;
  patterns?: { rule?: Told; schema?: Told }[];
  items?: Told[];
  ordered?: Told[];
  whens?: Branch[];
  matches?: Branch[];
}

const among = <T>(list: readonly T[], draw: Draw): T => list[Math.floor(draw() * list.length)] as T;
const WORDS = ['a', 'b', 'c', 'front', 'rear', 'x1', 'Grass', 'ä ½', 'part-1'];
const EXTREMES = [0, 1e-12, 1e-6, 1e6, 1e12, 1e300, -1, -1e9];

/** A number inside its rules, mostly of a usual size, sometimes at a limit, sometimes far off. */
function numberOf({ rules = [] }: Told, draw: Draw): number {
  const limit = (...names: string[]) => rules.find(({ name }) => names.includes(name))?.args?.limit;
  const [low, high] = [limit('min', 'greater'), limit('max', 'less')];
  const whole = rules.some(({ name }) => name === 'integer');
  const mood = draw();
  const [from, to] = [low ?? -100, high ?? Math.max(1000, (low ?? 0) + 1000)];
  const drawn =
    mood < 0.1
      ? (low ?? 0)
      : mood < 0.15
        ? (high ?? 1e3)
        : mood < 0.2
          ? among(EXTREMES, draw)
          : mood < 0.6
            ? Math.max(from, 0) + Math.min(to - Math.max(from, 0), 100) * draw()
            : from + 10 ** (4 * draw() - 2) * (low === undefined ? draw() - 0.5 : 1);
  const held = Math.min(to, Math.max(from, drawn));
  return whole ? Math.round(held) : held;
}

interface Branch {
  schema?: Told;
  then?: Told;
  otherwise?: Told;
  switch?: { then?: Told; otherwise?: Told }[];
}

/** Every schema that may stand in the place of one, whatever it depends on. */
const branchesOf = ({ whens = [], matches = [] }: Told): Told[] =>
  [...whens, ...matches]
    .flatMap((one) => [
      one.then,
      one.otherwise,
      one.schema,
      ...(one.switch ?? []).flatMap(({ then, otherwise }) => [then, otherwise]),
    ])
    .filter((one) => one !== undefined);

/** A value that follows what a schema tells of itself; what depends on other fields is set right afterwards. */
function valueOf(told: Told, draw: Draw, depth: number): unknown {
  const { type, flags, allow, keys, items = [], ordered = [], rules = [], patterns } = told;
  if (flags?.only && allow)
    return among(
      allow.filter((one) => typeof one !== 'object' || one === null),
      draw,
    );
  const branches = branchesOf(told);
  const richer = branches.filter((one) => one.type !== 'any' || one.allow !== undefined);
  if ((type === 'any' || type === 'alternatives') && richer.length > 0)
    return valueOf(among(richer, draw), draw, depth);
  const limit = (name: string) => rules.find((rule) => rule.name === name)?.args?.limit;
  switch (type) {
    case 'number':
      return numberOf(told, draw);
    case 'boolean':
      return draw() < 0.5;
    case 'string': {
      const pattern = rules.find(({ name }) => name === 'pattern')?.args?.regex;
      if (rules.some(({ name }) => name === 'isoDate')) return '2026-05-01T10:00:00.000Z';
      if (pattern?.includes('{64}')) return 'a'.repeat(64);
      return among(WORDS.slice(0, pattern ? 6 : undefined), draw);
    }
    case 'array': {
      const least = limit('min') ?? limit('length') ?? 0;
      const most = Math.min(limit('max') ?? limit('length') ?? 5, least + (depth > 3 ? 1 : 4));
      const length = least + Math.floor(draw() * (most - least + 1));
      if (ordered.length > 0) return ordered.map((one) => valueOf(one, draw, depth + 1));
      return items.length === 0
        ? []
        : Array.from({ length }, () => valueOf(among(items, draw), draw, depth + 1));
    }
    case 'object': {
      const named = Object.entries(keys ?? {}).flatMap(([key, one]) => {
        const presence = one.flags?.presence;
        if (presence === 'forbidden') return [];
        return presence === 'required' || draw() < (depth === 0 ? 0.7 : 0.5)
          ? [[key, valueOf(one, draw, depth + 1)] as const]
          : [];
      });
      const open = (patterns ?? []).flatMap(({ rule }) =>
        rule ? ['a', 'front'].map((key) => [key, valueOf(rule, draw, depth + 1)] as const) : [],
      );
      return Object.fromEntries([...named, ...open]);
    }
    default:
      return undefined;
  }
}

type Bag = Record<string | number, unknown>;
const holderOf = (value: unknown, path: readonly (string | number)[]): Bag | undefined =>
  path.slice(0, -1).reduce<unknown>((at, key) => (at as Bag | undefined)?.[key], value) as Bag | undefined;

const ROUNDS = 16;

/** What a schema still has against a value is set right where it says how: fields too many or missing, figures out of limits. */
function mended(schema: Schema, told: Told, value: unknown, draw: Draw): unknown {
  const mending = structuredClone(value);
  for (let round = 0; round < ROUNDS; round++) {
    const { error } = schema.validate(mending, { convert: false, abortEarly: false });
    if (!error) break;
    for (const { type, path, context = {} } of error.details) {
      const holder = holderOf(mending, path);
      const key = path.at(-1);
      if (type === 'object.xor' || type === 'object.oxor') {
        const bag = path.reduce<unknown>((at, one) => (at as Bag)?.[one], mending) as Bag | undefined;
        (context.present as string[]).slice(1).forEach((one) => delete bag?.[one]);
      }
      if (!holder || key === undefined) continue;
      if (type === 'any.unknown' || type === 'object.unknown') delete holder[key];
      else if (type === 'any.only') holder[key] = among(context.valids as unknown[], draw);
      else if (type === 'any.required')
        holder[key] = valueOf(toldAt(told, path) ?? { type: 'number' }, draw, 3);
      else if (type === 'number.min' || type === 'number.max') holder[key] = context.limit;
      else if (type === 'number.greater') holder[key] = (context.limit as number) + draw();
      else if (type === 'number.less') holder[key] = (context.limit as number) - draw();
      else if (type === 'array.unique' && Array.isArray(holder)) holder.splice(Number(key), 1);
      else if (type === 'number.base') holder[key] = draw() * 10;
    }
  }
  return mending;
}

/** What a schema tells of a path, through lists and branches. */
function toldAt(told: Told | undefined, path: readonly (string | number)[]): Told | undefined {
  const [key, ...rest] = path;
  if (!told || key === undefined) return told;
  const branches = branchesOf(told);
  const here: Told[] | undefined =
    typeof key === 'number' ? told.items : told.keys?.[key] ? [told.keys[key]] : [];
  return (
    (here ?? []).map((one) => toldAt(one, rest)).find((one) => one !== undefined && one.type !== 'any') ??
    branches.map((one) => toldAt(one, path)).find((one) => one !== undefined)
  );
}

/** A value that a schema takes, or nearly so; the same number, the same value. */
export function drawnFrom(schema: Schema, seed: number): unknown {
  const draw = randomFrom(seed);
  const told = schema.describe() as unknown as Told;
  return mended(schema, told, valueOf(told, draw, 0), draw);
}
