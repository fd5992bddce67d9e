'use client';

import fieldsCss from '@/ui/fields.module.css';
import Box from '@mui/material/Box';
import { Select } from '@/ui/controls/Select';
import Button from '@mui/material/Button';
import { useState } from 'react';

export function NewCoupon({
  printers,
  materials,
  onBegin,
}: {
  printers: readonly string[];
  materials: readonly string[];
  onBegin(printer: string, material: string): void;
}) {
  const [printer, setPrinter] = useState(printers[0] ?? '');
  const [material, setMaterial] = useState(materials[0] ?? '');
  const known = printers.includes(printer) ? printer : (printers[0] ?? '');
  return (
    <Box
      component="form"
      sx={{ mt: 0.5 }}
      onSubmit={(event) => {
        event.preventDefault();
        onBegin(known, material);
      }}
    >
      <div className={fieldsCss.field}>
        <label htmlFor="coupon-material">Material</label>
        <Select id="coupon-material" value={material} onChange={(event) => setMaterial(event.target.value)}>
          {materials.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </Select>
      </div>
      <div className={fieldsCss.field}>
        <label htmlFor="coupon-printer">Printer</label>
        <Select id="coupon-printer" value={known} onChange={(event) => setPrinter(event.target.value)}>
          {printers.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </Select>
      </div>
      <Button type="submit" sx={{ mt: 0.75 }} disabled={known === '' || material === ''}>
        Read a new piece
      </Button>
    </Box>
  );
}
