import { chromium } from '@playwright/test';
import { readFileSync } from 'node:fs';
const [,, out, cols, w, ...fs] = process.argv;
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--headless','--no-sandbox','--disable-gpu']});
const p = await b.newPage({viewport:{width:+cols!*+w!+20,height:600}});
await p.setContent(`<body style="margin:4px;display:grid;grid-template-columns:repeat(${cols},${w}px);gap:4px">`+fs.map(f=>`<img style="width:${w}px;border:1px solid #888" src="data:image/png;base64,${readFileSync(`/tmp/shots/${f}.png`).toString('base64')}">`).join(''));
await p.screenshot({path:`/tmp/shots/${out}.png`,fullPage:true});
await b.close();
