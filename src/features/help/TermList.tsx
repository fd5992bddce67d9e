import { useEffect, useRef, useState } from 'react';
import Typography from '@mui/material/Typography';
import { TextInput } from '@/ui/controls/TextInput';
import { type Term, TERMS } from '@/words/help/terms';

/** Terms with what they mean, from the text of the help. */
const termsIn = (text: string) =>
  text
    .split(/^## /m)
    .slice(1)
    .map((part) => {
      const [name = '', ...lines] = part.split('\n');
      return { name: name.trim(), meaning: lines.join(' ').trim() };
    })
    .sort((a, b) => (a.name < b.name ? -1 : 1));

export function TermList({ text, asked }: { text: string; asked: Term | undefined }) {
  const [typed, setTyped] = useState('');
  const list = useRef<HTMLDListElement>(null);
  const name = asked && TERMS[asked];
  useEffect(() => {
    list.current?.querySelector('[data-asked]')?.scrollIntoView({ block: 'center' });
  }, [asked]);
  const wanted = typed.trim().toLowerCase();
  const shown = termsIn(text).filter((one) => `${one.name} ${one.meaning}`.toLowerCase().includes(wanted));
  return (
    <>
      <TextInput
        boxed
        type="search"
        aria-label="Search the terms"
        placeholder="Search the terms"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        sx={{ width: '100%', mt: 1.5 }}
      />
      <dl ref={list}>
        {shown.map((one) => [
          <dt key={one.name} data-asked={one.name === name || undefined}>
            {one.name}
          </dt>,
          <dd key={`${one.name} means`}>{one.meaning}</dd>,
        ])}
      </dl>
      {shown.length === 0 ? (
        <Typography color="textSecondary">No term is called that, and none is explained by it.</Typography>
      ) : null}
    </>
  );
}
