/**
 * Every sentence the app can say, once: how it is written, and a list of them all for reading aloud
 * (`npm run messages`; the list goes to the file that MAZURKA_MESSAGES names).
 */
import { writeFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { allMessages } from '@/testing/messages';
import { demoLure, edited, plainBait, plainSpinner } from '@/testing/lures';
import { takeOff } from '@/core/lure/editing';
import { findings, USUAL_CONTEXT } from '@/core/judgement/findings';
import type { Lure } from '@/core/lure/lure';
import { CATALOGUE } from '@/core/parts/catalogue';
import { findingWords } from './finding-words';

const MESSAGES = allMessages();

describe('all messages', () => {
  it('are listed for reading', () => {
    expect(MESSAGES.length).toBeGreaterThan(1_200);
    const path = process.env.MAZURKA_MESSAGES;
    if (path === undefined) return;
    const files = [...new Set(MESSAGES.map(({ file }) => file))];
    const sections = files.map((file) =>
      [file, ...MESSAGES.filter((each) => each.file === file).map(({ text }) => `  ${text.trim()}`)].join('\n'),
    );
    writeFileSync(path, `${sections.join('\n\n')}\n`);
  });

  it.each([
    ['two spaces together', /\S {2,}\S/],
    ['a space before a stop or a comma', /[a-z…] [.,;!?](\s|$)/],
    ['a straight apostrophe in a word', /[a-z]'[a-z]/i],
    ['three dots for one sign', /\.\.\./],
    ['a word twice', /\b([a-z]+) \1\b/],
    ['what nobody would say aloud', /a tenth more of|at its own rate|no loop is closed|free the clevis|and\/or|\(s\)/i],
  ])('none has %s', (_, pattern) => {
    expect(MESSAGES.filter(({ text }) => pattern.test(text))).toEqual([]);
  });
});

describe('what a lure lacks is said of the lure as it is', () => {
  const hooksOf = (lure: Lure) => Object.values(lure.build.items).filter(({ part }) => part.kind === 'hook');
  const noHook = (lure: Lure) => {
    const bare = hooksOf(lure).reduce((now, { id }) => edited(now, takeOff(now.build, id)), lure);
    const finding = findings(bare, USUAL_CONTEXT, CATALOGUE).find(({ code }) => code === 'noHook');
    return finding ? findingWords(finding, bare.build, 'metric').why : null;
  };

  it('no ring on a tail loop that a bent wire has not', () => {
    expect(noHook(plainBait())).toBe('Cast a hook in the head.');
    expect(noHook(plainSpinner())).toBe('Hang a ring on the tail loop and a hook on the ring.');
    expect(noHook(demoLure('stolk-kettle'))).not.toContain('tail loop');
  });
});
