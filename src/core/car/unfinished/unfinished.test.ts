import { car } from '../../fixtures/car';
import { applyPatch, type Patch } from '../../base/patch';
import { finishPatch, mergeBuilds } from './unfinished';

const edited = (patch: Patch, document = car) => applyPatch(document, finishPatch(document, patch));
const NO_LOAD = ['drive', 'motor', 'noLoadCurrentA'];

describe('an emptied figure', () => {
  const emptied = edited([{ path: NO_LOAD, value: undefined }]);

  it('that is needed keeps its last value and is listed', () => {
    expect(emptied.unfinished).toEqual(['drive/motor/noLoadCurrentA']);
    expect({ ...emptied, unfinished: [] }).toEqual(car);
  });

  it('that is optional is absent', () => {
    const without = edited([{ path: ['brief', 'targetMps'], value: undefined }]);
    expect(without.unfinished).toEqual([]);
    expect('targetMps' in without.brief).toBe(false);
  });

  it('of a thing that is not there makes nothing', () => {
    const bare = { ...car, drive: { stages: [] }, suspension: {} };
    expect(
      edited(
        [
          { path: NO_LOAD, value: undefined },
          { path: ['suspension', 'front', 'corner', 'staticCamberDeg'], value: undefined },
        ],
        bare,
      ),
    ).toEqual(bare);
  });

  it('in a list goes by its item, in a point by its place', () => {
    const drawn = {
      ...car,
      suspension: { front: { corner: { kind: 'wishbones', wheelCentre: [0, 100, 55] } } },
    } as unknown as typeof car;
    const open = edited(
      [
        { path: ['brief', 'surfaces', 'asphalt', 'mu'], value: undefined },
        { path: ['suspension', 'front', 'corner', 'wheelCentre', '1'], value: undefined },
      ],
      drawn,
    );
    expect(open.unfinished).toEqual(['brief/surfaces/asphalt/mu', 'suspension/front/corner/wheelCentre/1']);
    expect(
      edited([{ path: ['suspension', 'front', 'corner', 'wheelCentre', '1'], value: 90 }], open),
    ).toMatchObject({
      unfinished: ['brief/surfaces/asphalt/mu'],
      suspension: { front: { corner: { wheelCentre: [0, 90, 55] } } },
    });
  });

  it('is finished when it is filled in again, or goes with what it belonged to', () => {
    expect(edited([{ path: NO_LOAD, value: car.drive.motor!.noLoadCurrentA }], emptied)).toEqual(car);
    expect(
      edited([{ path: ['drive', 'motor'], value: { ...car.drive.motor, name: 'Another' } }], emptied)
        .unfinished,
    ).toEqual([]);
    expect(edited([{ path: ['drive', 'motor'], value: undefined }], emptied).unfinished).toEqual([]);
  });

  it('stays unfinished where another item joins its list', () => {
    const open = edited([{ path: ['brief', 'surfaces', 'asphalt', 'mu'], value: undefined }]);
    expect(
      edited(
        [
          {
            path: ['brief', 'surfaces'],
            value: [...open.brief.surfaces, { ...open.brief.surfaces[0], id: 'other' }],
          },
        ],
        open,
      ).unfinished,
    ).toEqual(['brief/surfaces/asphalt/mu']);
  });

  it('of a name is an empty text', () =>
    expect(edited([{ path: ['brief', 'surfaces', 'asphalt', 'name'], value: ' ' }])).toEqual({
      ...car,
      unfinished: ['brief/surfaces/asphalt/name'],
    }));
});

describe('two tabs', () => {
  const [mine, theirs] = [
    edited([{ path: NO_LOAD, value: undefined }]),
    edited([{ path: ['drive', 'motor', 'maxV'], value: undefined }]),
  ];

  it('both leave open what either emptied, without a question', () => {
    expect(mergeBuilds(car, mine, theirs)).toEqual({
      conflicts: [],
      document: { ...car, unfinished: ['drive/motor/maxV', 'drive/motor/noLoadCurrentA'] },
    });
  });

  it('close what either filled in', () => {
    const filled = edited([{ path: NO_LOAD, value: 2 }], mine);
    expect(
      mergeBuilds(mine, filled, edited([{ path: ['drive', 'motor', 'maxV'], value: undefined }], mine))
        .document,
    ).toMatchObject({ unfinished: ['drive/motor/maxV'], drive: { motor: { noLoadCurrentA: 2 } } });
  });
});
