'use client';

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
        <select id="coupon-material" value={material} onChange={(event) => setMaterial(event.target.value)}>
          {materials.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </select>
      </div>
      <div className="field">
        <label htmlFor="coupon-printer">Printer</label>
        <select id="coupon-printer" value={known} onChange={(event) => setPrinter(event.target.value)}>
          {printers.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </select>
      </div>
      <button
        type="submit"
        className="btn"
        style={{ marginTop: 6 }}
        disabled={known === '' || material === ''}
      >
        Read a new piece
      </button>
    </form>
  );
}
