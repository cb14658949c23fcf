import { spinner, on, edited, TAIL, part, itemId } from '../src/testing/lures';
import { findings } from '../src/core/lure/findings';
import { CATALOGUE } from '../src/core/parts/catalogue';
import { findingWords } from '../src/words/finding-words';
import { writeLureFile } from '../src/core/lure/lure-file';
import { planMake } from '../src/core/make/plan';
import { predict } from '../src/core/predict';
import { LAKE_WATER } from '../src/core/hydro/water';
import { writeFileSync } from 'node:fs';
const build = (front: string, rear: string, below: string[]) => {
  let l = spinner(['bead-glass-4-smoke','clevis-folded-wide','clevis-folded-wide', ...below],[
    [front, on('clevis-1','hung')],[rear, on('clevis-2','hung')],['ring-k2',TAIL],['hook-treble-4',on('splitRing-1','hung')]]);
  l = edited(l,{kind:'move',from:2,to:3});
  return l;
};
for (const [f,r,below] of [
 ['blade-indiana-k2','blade-french-k1',['bead-steel-4','bead-copper-4','weight-teardrop-brass-10','bead-brass-3']],
 ['blade-indiana-k2','blade-indiana-k2',['bead-steel-4','bead-copper-4','weight-teardrop-brass-10','bead-brass-3']],
 ['blade-willow-k3','blade-willow-k3',['bead-steel-4','bead-copper-4','weight-teardrop-brass-10','bead-brass-3']],
] as const) {
  const l = build(f, r, [...below]);
  console.log('##',f,r, planMake(l.build).outcome);
  for (const x of findings(l)) { const w=findingWords(x,l.build,'metric'); console.log(x.severity, w.title,'|',w.figure, x.repairs.map(r=>r.code).join()); }
}
{
  let l = build('blade-willow-k3','blade-willow-o3b',['bead-steel-4','bead-copper-4','weight-teardrop-brass-10','bead-brass-3']);
  for (const x of findings(l)) if (x.severity!=='good') console.log('BAD', x.code);
  console.log(JSON.stringify(predict(l.build, LAKE_WATER,[0.8]).blades.map(b=>b.at[0]?.outcome)));
  l = { ...l, id: 'suvra-fan' as never, name: 'Suvra Fan', note: 'Two willows on one pair of clevises, one bright, one black: Jory’s asp lure for the fast water below Okkel mill.' };
  writeFileSync('src/demo/lures/suvra-fan.json', writeLureFile(l));
}
