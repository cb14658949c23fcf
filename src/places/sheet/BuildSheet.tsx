'use client';

import { carrierRoom } from '@/core/carriers/carrier';
import { useEffect, useMemo, useState } from 'react';
import { lureIdSchema, type Lure } from '@/core/lure/lure';
import { showLength, type UnitSystem } from '@/core/units/write';
import { stores } from '@/data/stores';
import { PAPERS, SHEET_PAPERS, type SheetPaper } from '@/paper/page';
import { pdfOf } from '@/paper/pdf-of';
import { useMeasure } from '@/paper/use-measure';
import { PageSvg } from '@/paper/PageSvg';
import { Button } from '@/ui/Button';
import { saveFile } from '@/ui/save-file';
import { today } from '@/ui/today';
import { templateDrawing } from '@/paper/template';
import { writeSvg } from '@/paper/write-svg';
import { sheetOf, templateOf } from './sheet-of';
import { lackingWords } from '@/words/paper-words';
import { storageFailureWords } from '@/words/storage-words';
import { RadioRow } from '@/ui/RadioRow';

type Opened =
  | { readonly state: 'opening' }
  | { readonly state: 'open'; readonly lure: Lure; readonly system: UnitSystem; readonly shown: Shown }
  | { readonly state: 'failed'; readonly reason: string };

/** What of a lure is put on paper. */
type Shown = 'sheet' | 'template';

const SHOWN_WORDS: Readonly<Record<Shown, string>> = { sheet: 'build sheet', template: 'bending template' };

/** A page of a lure to look at, print, or keep as a file: the page on the screen is the page on paper. */
export function BuildSheet() {
  const opened = useOpened();
  const [paper, setPaper] = useState<SheetPaper | null>(null);
  const [pdf, setPdf] = useState<'idle' | 'writing' | { readonly failed: string }>('idle');
  const [lacking, setLacking] = useState('');
  const measure = useMeasure();
  const system = opened.state === 'open' ? opened.system : 'metric';
  const chosen = paper ?? (system === 'metric' ? 'a4' : 'letter');
  const pages = useMemo(() => {
    if (opened.state !== 'open' || !measure) return null;
    const { lure, shown } = opened;
    return shown === 'template'
      ? templateOf(lure, opened.system, chosen).pages
      : [sheetOf(lure, opened.system, chosen, today(), measure)];
  }, [opened, chosen, measure]);
  if (opened.state === 'failed') {
    return (
      <main className="mx-auto flex max-w-xl flex-col gap-3 p-6">
        <h1 className="text-xl font-semibold">No sheet to show</h1>
        <p role="alert">{opened.reason}</p>
        <a className="text-accent underline" href="/bench">
          To the bench
        </a>
      </main>
    );
  }
  if (!pages || opened.state !== 'open') {
    return (
      <main className="grid min-h-dvh place-items-center">
        <p role="status">Setting the sheet…</p>
      </main>
    );
  }
  const { name: paperName, widthMm, heightMm } = PAPERS[chosen];
  const { lure, shown } = opened;
  const fileName = `${lure.id}${shown === 'template' ? '-template' : ''}-${chosen}`;
  const saveSvg = () => {
    const { template } = templateOf(lure, system, chosen);
    saveFile(`${fileName}.svg`, writeSvg(templateDrawing(template)), 'image/svg+xml');
  };
  const saveDxf = async () => {
    const { writeDxf } = await import('@/paper/write-dxf');
    saveFile(`${lure.id}-template.dxf`, writeDxf(templateOf(lure, system, chosen).template), 'image/vnd.dxf');
  };
  const savePdf = async () => {
    setPdf('writing');
    try {
      const { bytes, lacking: without } = await pdfOf(pages, new Date());
      saveFile(`${fileName}.pdf`, bytes, 'application/pdf');
      setPdf('idle');
      setLacking(without);
    } catch (error) {
      setPdf({ failed: error instanceof Error ? error.message : String(error) });
    }
  };
  return (
    <>
      <style>{`@page { size: ${widthMm}mm ${heightMm}mm; margin: 0 } @media print { html, body { width: ${widthMm}mm; height: ${heightMm * pages.length}mm; overflow: hidden; background: #fff } }`}</style>
      <header className="flex flex-wrap items-center gap-2 border-b border-line bg-panel px-4 py-2 print:hidden">
        <h1 className="mr-auto text-xl font-bold">
          {lure.name}: {SHOWN_WORDS[shown]}
        </h1>
        <RadioRow
          label="Paper"
          className="flex"
          optionClassName="min-h-11 px-3 text-ink-soft aria-checked:font-semibold aria-checked:text-ink aria-checked:underline aria-checked:decoration-2 aria-checked:underline-offset-4"
          value={chosen}
          options={SHEET_PAPERS.map((each) => ({ value: each, shown: PAPERS[each].name }))}
          onChange={setPaper}
        />
        {shown === 'template' && (
          <>
            <Button onClick={saveSvg}>Save as SVG</Button>
            <Button onClick={() => void saveDxf()}>Save as DXF</Button>
          </>
        )}
        <Button disabled={pdf === 'writing'} onClick={() => void savePdf()}>
          {pdf === 'writing' ? 'Writing…' : 'Save as PDF'}
        </Button>
        <Button look="main" onClick={() => window.print()}>
          Print on {paperName}
        </Button>
        {typeof pdf === 'object' && (
          <p role="alert" className="w-full text-fault">
            The PDF could not be written ({pdf.failed}). Printing still works, also to a file.
          </p>
        )}
        {lacking !== '' && (
          <p role="status" className="w-full text-sm text-caution">
            {lackingWords(lacking)}
          </p>
        )}
        {pages.length > 1 && (
          <p className="w-full text-sm">
            Larger than the paper, so it stands on {pages.length} pages: lay cross on cross and tape them.
          </p>
        )}
        <p className="w-full text-sm text-ink-soft">
          Print at 100 %, without “fit to page”, and lay a rule on the bar: it must measure {showLength(0.05, 'metric')}
          .
        </p>
      </header>
      {/* Scrolled by keys too, and to both of its edges when it is wider than the screen. */}
      <main
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        aria-label={`The ${SHOWN_WORDS[shown]}, ${pages.length === 1 ? 'one page' : `${pages.length} pages`}`}
        className="flex flex-col items-center-safe gap-6 overflow-x-auto bg-stage p-6 print:block print:overflow-hidden print:bg-white print:p-0"
      >
        {pages.map((page, i) => (
          <PageSvg
            key={i}
            page={page}
            className="block shrink-0 break-after-page shadow-lg last:break-after-auto print:shadow-none"
          />
        ))}
      </main>
    </>
  );
}

function useOpened(): Opened {
  const [opened, setOpened] = useState<Opened>({ state: 'opening' });
  useEffect(() => {
    let isHere = true;
    const open = async (): Promise<Opened> => {
      const asked = new URLSearchParams(window.location.search);
      const id = lureIdSchema.safeParse(asked.get('lure'));
      if (!id.success) return { state: 'failed', reason: 'The address names no lure. Open its sheet from the bench.' };
      const { lures, settings } = stores();
      const { DEMO_LURES } = await import('@/demo/scenario');
      const seeded = await lures.seed(DEMO_LURES);
      if (!seeded.ok) return { state: 'failed', reason: storageFailureWords(seeded.failure) };
      const read = await lures.read(id.data);
      if (!read.ok) return { state: 'failed', reason: storageFailureWords(read.failure) };
      const { lure } = read.value.history;
      // Line is not bent and has no template.
      const isBent = !carrierRoom(lure.build.carrier).isLimp;
      const shown = isBent && asked.get('show') === 'template' ? 'template' : 'sheet';
      return { state: 'open', lure, system: (await settings.read()).system, shown };
    };
    open().then(
      (result) => isHere && setOpened(result),
      (error: unknown) => isHere && setOpened({ state: 'failed', reason: String(error) }),
    );
    return () => {
      isHere = false;
    };
  }, []);
  return opened;
}
