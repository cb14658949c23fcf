'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Run } from '@/core/make/run';
import { stores } from '@/data/stores';
import { cardPage } from '@/paper/card';
import type { Code } from '@/paper/code';
import { PAPERS, type Page } from '@/paper/page';
import { PageSvg } from '@/paper/PageSvg';
import { useMeasure } from '@/paper/use-measure';
import { saveFile } from '@/ui/save-file';
import { FAMILY_WORDS } from '@/words/family-words';
import { useHandsFree } from './hands-free';
import { BIG } from './looks';
import { useMake } from './make-store';
import { pdfOf } from '@/paper/pdf-of';
import { lackingWords } from '@/words/paper-words';

/** It is made: its number, and its card to print. */
export function Made({ run }: { readonly run: Run }) {
  const page = useCard(run);
  const [told, setTold] = useState<string | null>(null);
  const { widthMm, heightMm } = PAPERS.a6;
  useHandsFree({ onNext: () => page && window.print() });
  const savePdf = async () => {
    if (!page) return;
    try {
      const { bytes, lacking } = await pdfOf([page], new Date());
      saveFile(`${run.lureId}-no-${run.number ?? 0}.pdf`, bytes, 'application/pdf');
      setTold(lacking === '' ? null : lackingWords(lacking));
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      setTold(`The PDF could not be written (${why}). Printing still works, also to a file.`);
    }
  };
  return (
    <>
      <style>{`@page { size: ${widthMm}mm ${heightMm}mm; margin: 0 } @media print { html, body { width: ${widthMm}mm; height: ${heightMm}mm; overflow: hidden; background: #fff } }`}</style>
      <main className="mx-auto flex max-w-5xl flex-wrap items-start justify-center gap-8 p-5 print:block print:p-0">
        <section className="flex max-w-md flex-col gap-4 print:hidden">
          <h1 className="text-4xl font-bold">
            {run.lureName} is made: <span className="measure whitespace-nowrap">No. {run.number}</span>
          </h1>
          <p className="text-xl">
            Marked as made on {run.madeOn}. Its card says what it is; the code on it opens it here, in this browser.
          </p>
          {run.spoiled.length > 0 && (
            <p className="text-lg">
              <span className="font-semibold">Spoiled on the way:</span>{' '}
              {run.spoiled.map(({ name }) => name).join(', ')}.
            </p>
          )}
          <button
            type="button"
            className={`${BIG.main} min-h-16 text-2xl`}
            disabled={!page}
            onClick={() => window.print()}
          >
            Print its card
          </button>
          <div className="flex flex-wrap gap-2">
            <button type="button" className={BIG.plain} disabled={!page} onClick={() => void savePdf()}>
              Save as PDF
            </button>
            <a className={BIG.plain} href={`/make?lure=${run.lureId}`}>
              Make another
            </a>
            <a className={BIG.plain} href={`/bench?lure=${run.lureId}`}>
              To the bench
            </a>
          </div>
          {told !== null && (
            <p role="alert" className="text-lg text-fault">
              {told}
            </p>
          )}
        </section>
        {page && <PageSvg page={page} className="block shrink-0 shadow-lg print:shadow-none" />}
      </main>
    </>
  );
}

/** The card, once the lure and its code are there. */
function useCard(run: Run): Page | null {
  const measure = useMeasure();
  const { system } = useMake((state) => state.settings);
  const [about, setAbout] = useState<{
    readonly familyName: string;
    readonly note: string;
    readonly code: Code;
  } | null>(null);
  useEffect(() => {
    let isHere = true;
    void Promise.all([import('@/paper/code'), stores().lures.read(run.lureId)]).then(([{ codeOf }, read]) => {
      if (!isHere) return;
      const lure = read.ok ? read.value.history.lure : null;
      setAbout({
        familyName: lure ? FAMILY_WORDS[lure.family] : '',
        note: lure?.note ?? '',
        code: codeOf(`${window.location.origin}/bench?lure=${run.lureId}`),
      });
    });
    return () => {
      isHere = false;
    };
  }, [run.lureId]);
  return useMemo(
    () => (measure && about ? cardPage({ run, system, ...about }, measure) : null),
    [measure, about, run, system],
  );
}
