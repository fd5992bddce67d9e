'use client';

import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';

/** Whether this browser draws in space. */
export function hasWebGl(): boolean {
  try {
    return window.document.createElement('canvas').getContext('webgl2') !== null;
  } catch {
    return false;
  }
}

const NAMES = ['ink', 'sheet', 'quiet', 'moss', 'slate', 'rule', 'rust', 'ochre'] as const;
export type InkName = (typeof NAMES)[number];
export type Ink = Readonly<Record<InkName, string>>;

/** The page's colours, as a material takes them. */
export function inkOf(): Ink {
  const style = getComputedStyle(window.document.documentElement);
  return Object.fromEntries(NAMES.map((name) => [name, style.getPropertyValue(`--${name}`).trim()])) as Ink;
}

/** Turns the view by the pointer about a place, and draws only when it has moved. */
export function Orbit({
  target: [x, y, z],
  pan = false,
}: {
  target: readonly [number, number, number];
  pan?: boolean;
}) {
  const { camera, gl, invalidate } = useThree();
  useEffect(() => {
    const controls = new OrbitControls(camera, gl.domElement);
    controls.target.set(x, y, z);
    controls.enablePan = pan;
    controls.addEventListener('change', () => invalidate());
    controls.update();
    return () => controls.dispose();
  }, [camera, gl, invalidate, x, y, z, pan]);
  return null;
}
