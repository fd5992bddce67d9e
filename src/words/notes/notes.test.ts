import '../later/bringIn';
import { finding, renamed } from '@/core/base/finding';
import { measure } from '@/core/base/measure';
import type { Reader } from '@/core/base/units/formatQuantity';
import { PLAIN_READER } from '@/core/base/units/plain';
import { assemblyOrder } from '@/core/worked/print/assembly';
import { emptyDocument } from '@/core/car/document/document';
import type { Joint } from '@/core/car/document/print';
import { say, sayAll } from '../findings';

const spaced = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ');
const plain = (...found: Parameters<typeof sayAll>[0]) => spaced(sayAll(found, PLAIN_READER));
const IMPERIAL: Reader = { locale: 'en-US', units: 'imperial' };

describe('the words of what models note', () => {
  it('name where a linkage locks, with its rack where that is not in the middle', () => {
    const at = { travel: measure(12, 'lengthMm') };
    const reached = { travel: measure(30, 'lengthMm') };
    expect(plain(finding('note.linkage.locks', { at, reached }))).toBe(
      'The linkage locks at 12 mm of travel, before it reaches 30 mm.',
    );
    const rack = measure(5, 'lengthMm');
    expect(plain(finding('note.linkage.locks', { at: { ...at, rack }, reached: { ...reached, rack } }))).toBe(
      'The linkage locks at 12 mm of travel and 5 mm of rack, before it reaches 30 mm at 5 mm of rack.',
    );
  });

  it('follow the reader’s units', () => {
    const off = finding('note.linkage.offGround', { off: measure(25.4, 'lengthMm'), over: true });
    expect(plain(off)).toBe('The tyre stands 25.4 mm over the ground at rest.');
    expect(spaced(say(off, IMPERIAL))).toBe('The tyre stands 1 in over the ground at rest.');
    const short = finding('note.endurance.outOfReach', {
      cruise: measure(10, 'speedMps'),
      holds: measure(8, 'speedMps'),
    });
    // 10 m/s are 36 km/h and 22.4 mph
    expect(plain(short)).toMatch(/^The cruise speed of 36 km\/h is out of reach: it holds 28.8 km\/h/);
    expect(spaced(say(short, IMPERIAL))).toContain('22.4 mph');
  });

  it('call things by their names, and begin a sentence with a capital', () => {
    const browns = finding('note.budget.tooFew', {
      id: '@0@',
      volts: measure(4.2, 'voltageV'),
      low: true,
      minV: measure(4.8, 'voltageV'),
    });
    expect(plain(renamed(browns, (id) => (id === '@0@' ? 'receiver' : id)))).toBe(
      'Receiver gets 4.2 V with the pack low and needs 4.8 V.',
    );
  });

  it('say one hole and several, one minute and more, the first run and none', () => {
    expect(plain(finding('note.mesh.closed', { holes: 1 }))).toBe(
      'Closed 1 hole from the middle of the rim.',
    );
    expect(plain(finding('note.mesh.closed', { holes: 3 }))).toContain('3 holes');
    expect(plain(finding('note.holes.others', { others: 2 }))).toMatch(/^2 other shapes fit/);
    expect(
      plain(
        finding('note.diagnosis.strong', { clue: { isA: 'a spur gear' } }),
        finding('note.diagnosis.against', { clue: { changed: 'the pinion' } }),
      ),
    ).toBe('For, strongly: it is a spur gear. Against: changed since it was last good: the pinion.');
  });

  it('tell each joint’s own way of being put together', () => {
    const joint = (id: string, more: Partial<Joint>): Joint => ({ id, name: id, kind: 'screw', ...more });
    const joints = [
      joint('Foot', { hold: 'heatSetInsert', diameterMm: 3, lengthMm: 12, part: 'plate' }),
      joint('Cap', { hold: 'nutTrap', diameterMm: 3, lengthMm: 10, part: 'plate', to: 'arm' }),
      joint('Lid', { hold: 'screwInPlastic', diameterMm: 2.5, lengthMm: 8 }),
      joint('Hinge', { kind: 'pin', diameterMm: 3, lengthMm: 40, part: 'arm' }),
      joint('Seat', { kind: 'bearing', diameterMm: 5, outerMm: 11, widthMm: 4, part: 'arm' }),
    ];
    const document = emptyDocument();
    const steps = assemblyOrder({
      parts: {
        ...document.parts,
        items: [
          { id: 'plate', name: 'Chassis plate', kind: 'chassis' },
          { id: 'arm', name: 'Front arm', kind: 'arm' },
        ],
      },
      print: { ...document.print, joints },
    });
    const said = steps.map(({ says }) => plain(says));
    expect(said).toEqual(
      expect.arrayContaining([
        'Melt the M3 insert into chassis plate, square to its face.',
        'Press the bearing 5 × 11 × 4 mm into front arm, by its outer ring.',
        'Cap: front arm to chassis plate, M3 × 10 mm, lay the nut in first.',
        'Lid: the car, M2.5 × 8 mm, stop when it is snug.',
        'Hinge: front arm, pin 3 × 40 mm.',
      ]),
    );
  });
});
