import { isShared, withoutToken } from './guard';

it('a log keeps no link by which a build is shown', () => {
  expect(withoutToken('/api/shared/Zm9yZ2Vk-_x/files/abc')).toBe('/api/shared/…/files/abc');
  expect(withoutToken('/shared/Zm9yZ2Vk/A/brief')).toBe('/shared/…/A/brief');
  expect(withoutToken('/api/builds/shared/file')).toBe('/api/builds/shared/file');
  expect([isShared('/shared/x/A/brief'), isShared('/builds/shared/A/brief')]).toEqual([true, false]);
});
