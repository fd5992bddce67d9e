'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import { TextInput } from '@/ui/controls/TextInput';
import { Row } from '@/ui/layout/Row';

/** A link that is told this once: what stands in it is not kept. */
export const LinkOnce = ({ id, link, words }: { id: string; link: string; words: string }) => (
  <Note tone="ok" role="status" sx={{ my: 1, maxWidth: 720 }}>
    <Typography component="label" variant="label" htmlFor={id}>
      {words}
    </Typography>
    <Row sx={{ flexWrap: 'nowrap' }}>
      <TextInput
        boxed
        id={id}
        readOnly
        value={link}
        sx={{ width: 520, maxWidth: '100%' }}
        onFocus={(event) => event.target.select()}
      />
      <Button onClick={() => void navigator.clipboard.writeText(link)}>Copy</Button>
    </Row>
  </Note>
);
