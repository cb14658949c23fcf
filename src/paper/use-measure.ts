'use client';

import { useEffect, useState } from 'react';
import type { Measure } from './page';

/** Text as this browser sets it, once its type has loaded. */
export function useMeasure(): Measure | null {
  const [measure, setMeasure] = useState<Measure | null>(null);
  useEffect(() => {
    let isHere = true;
    const family = getComputedStyle(document.body).fontFamily;
    const context = document.createElement('canvas').getContext('2d');
    void Promise.all([400, 700].map((weight) => document.fonts.load(`${weight} 100px ${family}`))).then(() => {
      if (!context || !isHere) return;
      const measured: Measure = (text, sizeMm, weight) => {
        context.font = `${weight === 'bold' ? 700 : 400} 100px ${family}`;
        return (context.measureText(text).width / 100) * sizeMm;
      };
      setMeasure(() => measured);
    });
    return () => {
      isHere = false;
    };
  }, []);
  return measure;
}
