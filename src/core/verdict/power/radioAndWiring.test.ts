import { exchangedBy } from '../../fixtures/remedies';
import type { BuildDocument } from '../../car/document/document';
import { FAILSAFE_ITEMS } from '../../car/document/power';
import { applyPatch, type Patch } from '../../base/patch';
import { failsafeMarks, undoneBy } from '../../worked/power/failsafe';
import { supplyOf } from '../../worked/power/supplyOfBuild';
import { feedsItself, treeLayout } from '../../physics/supply/treeLayout';
import { copperFor, wiringOf } from '../../worked/power/wiring';
import { build, wired, check } from '../../fixtures/wired';

describe('the radio', () => {
  const radio = (patch: Patch) => check(applyPatch(wired, patch), 'power.radio');
  it('binds only with its own protocol, needs a channel for a gyro, and reaches so far', () => {
    // half of 150 m for 50 m
    expect(radio([])).toMatchObject({ state: 'clear', margin: 1.5 });
    const strange = radio([{ path: ['power', 'loads', 'rx', 'protocol'], value: 'hop 9' }]);
    expect(strange).toMatchObject({ state: 'over', finding: { code: 'power.radio.protocols' } });
    expect(strange.remedies[0]).toMatchObject({ state: 'clear' });
    expect(exchangedBy(strange.remedies[0]!)).toEqual(['hop 9', 'hop 2']);
    const two = [{ path: ['power', 'loads', 'rx', 'channels'], value: 2 }];
    expect(radio(two).state).toBe('clear');
    expect(radio([...two, { path: ['power', 'radio', 'gyroGain'], value: true }])).toMatchObject({
      state: 'over',
      finding: { code: 'power.radio.channels', facts: { needed: 3, has: 2, of: 'receiver', gyro: true } },
    });
    expect(radio([{ path: ['power', 'radio', 'awayM'], value: 60 }]).state).toBe('tight');
    expect(radio([{ path: ['power', 'radio', 'awayM'], value: 80 }]).state).toBe('over');
  });
});

describe('the fail-safe list', () => {
  const ticked = build({
    wires: [{ id: 'sv', plug: 'soldered' }],
    failsafe: FAILSAFE_ITEMS.map((id) => ({
      id,
      at: '2026-05-01T10:00:00.000Z',
      of: failsafeMarks({ ...wired.power, wires: [{ id: 'sv', plug: 'soldered' }] }),
    })),
  });
  const undone = (document: BuildDocument) => [
    ...new Set(document.power.failsafe!.flatMap((tick) => undoneBy(tick, failsafeMarks(document.power)))),
  ];
  const after = (patch: Patch) => undone(applyPatch(ticked, patch));

  it('is clear when all is ticked, tight while some is open, unknown before', () => {
    expect(check(ticked, 'power.failsafe').state).toBe('clear');
    expect(
      check(
        applyPatch(ticked, [{ path: ['power', 'failsafe', 'brake'], value: undefined }]),
        'power.failsafe',
      ),
    ).toMatchObject({ state: 'tight', finding: { facts: { open: ['brake'] } } });
    expect(check(wired, 'power.failsafe').state).toBe('unknown');
  });

  it.each<[string, Patch, string]>([
    ['another transmitter', [{ path: ['power', 'radio', 'transmitter', 'channels'], value: 4 }], 'radio'],
    ['another receiver', [{ path: ['power', 'loads', 'rx', 'libraryId'], value: 'receiver-9' }], 'receiver'],
    ['another controller', [{ path: ['power', 'controller', 'continuousA'], value: 80 }], 'controller'],
    ['a load on another rail', [{ path: ['power', 'loads', 'sv', 'rail'], value: 'battery' }], 'wiring'],
    ['another plug', [{ path: ['power', 'wires', 'sv', 'plug'], value: 'bullet, 4 mm' }], 'wiring'],
    [
      'one more load',
      [{ path: ['power', 'loads', 'light'], value: { name: 'Light', kind: 'light', rail: 'own' } }],
      'wiring',
    ],
  ])('is undone by %s', (_, patch, part) => {
    expect(after(patch)).toEqual([part]);
    expect(check(applyPatch(ticked, patch), 'power.failsafe')).toMatchObject({
      state: 'over',
      finding: { code: 'power.failsafe.undone', facts: { changed: [part] } },
    });
    // undoing the change brings the ticks back
    expect(undone(ticked)).toEqual([]);
  });

  it.each<[string, Patch]>([
    ['another servo in its place', [{ path: ['power', 'loads', 'sv', 'peakA'], value: 2 }]],
    ['another setting of a regulator', [{ path: ['power', 'rails', 'own', 'setV'], value: 5 }]],
    [
      'another pack or motor',
      [
        { path: ['power', 'battery', 'cells'], value: 3 },
        { path: ['drive', 'motor', 'kvRpmPerV'], value: 2000 },
      ],
    ],
    [
      'another name',
      [
        { path: ['power', 'loads', 'rx', 'name'], value: 'RX' },
        { path: ['power', 'controller', 'name'], value: 'C' },
        { path: ['power', 'rails', 'own', 'name'], value: 'R' },
      ],
    ],
    ['how far it is driven', [{ path: ['power', 'radio', 'awayM'], value: 10 }]],
    ['the chassis', [{ path: ['chassis', 'massG'], value: 1000 }]],
  ])('stays through %s', (_, patch) => expect(after(patch)).toEqual([]));
});

describe('the wiring list', () => {
  it('names both ends of every wire, finds plugs that do not fit and copper that is thin', () => {
    const bad = build({
      wires: [
        { id: 'sv', plug: 'bullet, 4 mm', socket: 'servo plug, three pins' },
        { id: 'controller', areaMm2: 0.14 },
      ],
    });
    const rows = wiringOf(bad, supplyOf(bad, 30), { packA: 30, motorA: 30 });
    expect(rows.map(({ id }) => id)).toEqual(['controller', 'motor', 'own', 'rx', 'sv']);
    expect(rows.find(({ id }) => id === 'sv')).toMatchObject({
      from: 'Own regulator',
      to: 'Servo',
      misfit: true,
    });
    // 30 A for seconds over 30 A/mm²
    expect(rows.find(({ id }) => id === 'controller')).toMatchObject({ wantedMm2: 1, thin: true });
    const found = check(bad, 'power.wiring');
    expect(found).toMatchObject({ state: 'over', finding: { code: 'power.wiring.misfits' } });
    expect(
      check(
        applyPatch(
          bad,
          found.remedies.flatMap(({ patch }) => patch),
        ),
        'power.wiring',
      ).finding!.code,
    ).not.toBe('power.wiring.misfits');
  });

  it('takes the next copper that is sold', () =>
    expect([copperFor(0, 0), copperFor(1, 10), copperFor(13, 20), copperFor(500, 500)]).toEqual([
      0.14, 0.5, 1.5, 10,
    ]));
});

describe('the picture of the tree', () => {
  const rails = [
    { id: 'a', from: 'battery' },
    { id: 'b', from: 'a' },
  ];
  const loads = [
    { id: 'l1', rail: 'b' },
    { id: 'l2', rail: 'b' },
    { id: 'l3', rail: 'battery' },
  ];
  it('stands each thing right of what feeds it, leaves on rows of their own', () => {
    const place = treeLayout(rails, loads, ['m']);
    expect(place.get('b')!.depth).toBe(2);
    expect(new Set(['m', 'l1', 'l2', 'l3'].map((id) => place.get(id)!.row)).size).toBe(4);
    expect(
      treeLayout(
        [
          { id: 'x', from: 'y' },
          { id: 'y', from: 'x' },
        ],
        [],
        [],
      ).size,
    ).toBe(3);
  });
  it('knows what would feed itself', () => {
    expect(feedsItself(rails, 'a', 'b')).toBe(true);
    expect(feedsItself(rails, 'b', 'battery')).toBe(false);
    expect(feedsItself(rails, 'a', 'a')).toBe(true);
  });
});
