import type { Amount } from '@/core/make/operation-rule';
import { inFingers, type FingerSpans } from '@/core/units/finger-spans';
import { showLength } from '@/core/units/write';
import { degrees } from '@/words/angle-words';
import { fingerWords } from '@/words/finger-words';
import { amountName } from '@/words/make-words';

/** What is measured or counted at a step, to be read from arm's length: millimetres, inches, the user's own hand. */
export function Amounts({ amounts, fingers }: { readonly amounts: readonly Amount[]; readonly fingers: FingerSpans }) {
  if (amounts.length === 0) return null;
  return (
    <dl className="flex flex-wrap gap-x-6 gap-y-2">
      {amounts.map((amount, i) => (
        <div key={i} className="flex flex-col">
          <dt className="text-lg">{amountName(amount)}</dt>
          <dd className="measure flex flex-wrap items-baseline gap-x-3 text-[clamp(1.7rem,3.2vw,2.6rem)] leading-tight font-bold">
            {figures(amount, fingers).map((text, at) => (
              <span key={text} className={at === 0 ? '' : 'text-[0.62em] font-semibold'}>
                {text}
              </span>
            ))}
          </dd>
        </div>
      ))}
    </dl>
  );
}

function figures(amount: Amount, fingers: FingerSpans): string[] {
  if ('lengthM' in amount) {
    const byHand = inFingers(amount.lengthM, fingers);
    return [
      showLength(amount.lengthM, 'metric'),
      showLength(amount.lengthM, 'trade'),
      ...(byHand ? [`≈ ${fingerWords(byHand)}`] : []),
    ];
  }
  return 'count' in amount ? [String(amount.count)] : [degrees(amount.angleRad)];
}
