import { isWellFormed } from './addresses';

it('takes an address that is well encoded', () => {
  for (const address of [
    '/',
    '/builds/marsh-hare/D/drive?view=all',
    '/builds/z%C3%A4hne',
    '/library?q=a+b%2Bc',
    '/%25',
  ])
    expect(isWellFormed(address)).toBe(true);
});

it('takes none with half a character, with a control character, or that is cut off', () => {
  for (const address of [
    '/builds/%',
    '/builds/%zz',
    '/builds/%C3',
    '/builds/%ED%A0%80',
    '/builds/%00',
    '/library?q=%0B',
    '/builds/%FF/D',
  ])
    expect(isWellFormed(address)).toBe(false);
});
