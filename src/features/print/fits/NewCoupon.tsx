'use client';

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
    <form
      style={{ marginTop: 4 }}
      onSubmit={(event) => {
        event.preventDefault();
        onBegin(known, material);
      }}
    >
      <div className="field">
        <label htmlFor="coupon-material">Material</label>
        <Select id="coupon-material" value={material} onChange={(event) => setMaterial(event.target.value)}>
          {materials.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </Select>
      </div>
      <div className="field">
        <label htmlFor="coupon-printer">Printer</label>
        <Select id="coupon-printer" value={known} onChange={(event) => setPrinter(event.target.value)}>
          {printers.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </Select>
      </div>
      <Button type="submit" style={{ marginTop: 6 }} disabled={known === '' || material === ''}>
        Read a new piece
      </Button>
    </form>
  );
}
