import { chromium } from '@playwright/test';
const [,, lure, upto, w='1280', h='800', out='shot', dark] = process.argv;
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--headless','--no-sandbox','--disable-gpu','--disable-quic','--no-first-run']});
const c = await b.newContext({viewport:{width:+w!,height:+h!},colorScheme:dark?'dark':'light'});
const p = await c.newPage();
p.on('console',m=>{if(m.type()==='error')console.log('console',m.text())}); p.on('pageerror',e=>console.log('err',e.message));
await p.goto(`${process.env.URL}/make?lure=${lure}`);
await p.getByRole('button',{name:/begin/}).waitFor();
const wanted=upto!.split(',');
if(wanted.includes('0')) await p.screenshot({path:`/tmp/shots/${out}-0.png`});
await p.keyboard.press(' ');
await p.getByText(/step/).first().waitFor();
for(let i=1;i<40;i++){ await p.waitForTimeout(wanted.includes(String(i))?500:120); const t=await p.locator('h1').innerText(); if(process.env.LIST) console.log(i,t); if(wanted.includes(String(i))) await p.screenshot({path:`/tmp/shots/${out}-${i}.png`}); if(/last look|is made/.test(t)) { if(i>30) break; } if (i>+wanted.at(-1)!) break; await p.keyboard.press('PageDown'); }
await b.close();
