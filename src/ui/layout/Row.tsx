'use client';

import { styled } from '@mui/material/styles';

/** Things beside each other, in as many lines as they need. */
export const Row = styled('div')({ display: 'flex', gap: 10, alignItems: 'center', flexWrap: 'wrap' });
