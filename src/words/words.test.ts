import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { TABLES } from '@/core/physics/diagnosis/tables';
import { SIDES } from '@/core/verdict/engine/segments';
import { FACES, FAMILIES, RECORD_CHECKS } from '@/core/verdict/faces';
import { readFileSync } from 'node:fs';
import { hasName } from './checks/names';
import { PROOF_WORDS } from './checks/steps';
import { say } from './findings';
import { needName } from './needs';

const metric = { locale: 'en-GB', units: 'metric' } as const;
const imperial = { locale: 'en-US', units: 'imperial' } as const;
const RECORDS = [...FACES, ...FAMILIES];
const idOf = (one: (typeof RECORDS)[number]) => ('family' in one ? one.family : one.id);

function checkFiles(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory()
      ? checkFiles(join(folder, entry.name))
      : entry.name.endsWith('.check.ts')
        ? [join(folder, entry.name)]
        : [],
  );
}

describe('every check', () => {
  it('stands in the registry, which lists nothing else', () => {
    const made = checkFiles('src/core/verdict').flatMap((file) => [
      ...readFileSync(file, 'utf8').matchAll(/= (defineCheck|defineFamily|defineRecordCheck)\(/g),
    ]);
    expect(made).toHaveLength(FACES.length + FAMILIES.length + RECORD_CHECKS.length);
  });

  it('names a side that exists, has a name and a way to prove it', () => {
    for (const { at } of [...RECORDS, ...RECORD_CHECKS])
      expect(SIDES[at.segment] as readonly string[]).toContain(at.side);
    const ids = [...RECORDS.map(idOf), ...RECORD_CHECKS.map(({ id }) => id)];
    expect(ids.filter((id) => !hasName(id))).toEqual([]);
    expect(RECORDS.filter(({ provenBy }) => !PROOF_WORDS[provenBy.how]).map(idOf)).toEqual([]);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('supports causes that are known, the same that the diagnosis weighs', () => {
    const known = new Set(TABLES.causes.map(({ id }) => id));
    for (const record of RECORDS) {
      expect(record.supports.filter((cause) => !known.has(cause))).toEqual([]);
      expect([...record.supports].sort()).toEqual([...(TABLES.margins[idOf(record)] ?? [])].sort());
    }
  });
});

describe('a finding', () => {
  const heat = {
    code: 'drive.heat.case' as const,
    facts: {
      peak: { value: 80, quantity: 'temperatureC' as const },
      air: { value: 25, quantity: 'temperatureC' as const },
      limit: { value: 60, quantity: 'temperatureC' as const },
      of: 'glue' as const,
    },
  };
  it('is said in the reader’s units', () => {
    expect(say(heat, metric)).toContain('80\u00a0°C');
    // 80 °C = 176 °F, 60 °C = 140 °F
    expect(say(heat, imperial)).toMatch(/176\u00a0°F.*140\u00a0°F/);
    expect(say(heat, imperial)).not.toContain('°C');
  });

  it('says the findings inside it too', () => {
    const part = {
      code: 'parts.part' as const,
      facts: {
        from: 'landingOneWheel' as const,
        force: { value: 100, quantity: 'forceN' as const },
        breaks: { value: 200, quantity: 'forceN' as const },
        mode: 'bent' as const,
        between: false,
        how: {
          code: 'load.falls' as const,
          facts: {
            drop: { value: 254, quantity: 'lengthMm' as const },
            stop: { value: 25.4, quantity: 'lengthMm' as const },
          },
        },
      },
    };
    expect(say(part, imperial)).toContain('Falls 10\u00a0in and is stopped over 1\u00a0in');
  });
});

describe('what is missing', () => {
  it('goes by a name of its own, by that of its kind, or by the label of its field', () => {
    expect(needName('drive.motor')).toBe('motor');
    expect(needName('drive.stages.main.moduleMm')).toBe('module of the gears');
    expect(needName('suspension.front.corner:moves')).toBe('front corner that can move');
    expect(needName('power.battery.massG')).not.toContain('.');
  });
});
