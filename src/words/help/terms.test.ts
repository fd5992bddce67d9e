import { readFileSync } from 'node:fs';
import { LABELS } from '../labels/labels';
import { termOf } from './termOf';
import { TERMS } from './terms';

const told = [...readFileSync('docs/help/terms.md', 'utf8').matchAll(/^## (.+)$/gm)].map(([, name]) => name);

describe('the terms of the help', () => {
  it('are those that the help explains, each under its own heading', () => {
    expect(Object.values(TERMS).sort()).toEqual([...told].sort());
    for (const [term, name] of Object.entries(TERMS))
      expect(name.toLowerCase().replaceAll(' ', '-')).toBe(term);
  });

  it('explain fields that there are, and no field of the same key that means something else', () => {
    const explained = Object.keys(LABELS).filter((path) => termOf(path.split('.')));
    expect(explained.length).toBeGreaterThan(25);
    expect(termOf(['drive', 'motor', 'kvRpmPerV'])).toBe('kv');
    expect(termOf(['suspension', 'front', 'rateNPerMm'])).toBe('spring-rate');
    expect(termOf(['drive', 'tyre', 'rateNPerMm'])).toBeUndefined();
    expect(termOf(['power', 'controller', 'resistanceMilliOhm'])).toBeUndefined();
    expect(termOf(['brief', 'targetMps'])).toBeUndefined();
  });
});
