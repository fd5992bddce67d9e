import { createElement as h } from 'react';
import { prerenderToNodeStream } from 'react-dom/static';
import { text } from 'node:stream/consumers';
import { Charts, Readings } from '@/features/frame/Guarded';

jest.mock('@/features/session/BuildContext', () => ({
  useBuild: () => ({ document: {}, surface: undefined, ghost: undefined }),
}));

function Broken(): never {
  throw new RangeError('no change of sign in the bracket');
}

const part = (words: string) => h('p', null, words);

test('what cannot be worked out takes neither its neighbours nor what stands beside it in a row of pictures', async () => {
  const errors: unknown[] = [];
  const page = h(
    'main',
    null,
    part('fields'),
    h(Readings, {
      children: [
        part('answer'),
        h(Broken),
        h(Charts, { children: [h(Broken), part('picture')] }),
        h('div', null, part('table')),
      ],
    }),
  );
  const { prelude } = await prerenderToNodeStream(page, { onError: (error) => void errors.push(error) });
  const html = await text(prelude as NodeJS.ReadableStream);
  expect(errors).toHaveLength(2);
  for (const words of ['fields', 'answer', 'picture', 'table']) expect(html).toContain(`<p>${words}</p>`);
});
