import { chromium } from '@playwright/test';
const [,, url, out, w='1280', h='800', dark='', ...steps] = process.argv;
const b = await chromium.launch({ executablePath:'/usr/bin/chromium', args:['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync']});
const p = await b.newPage({ viewport:{width:+w,height:+h}, colorScheme: dark==='dark'?'dark':'light', locale:'en-GB', hasTouch: +w<500 });
await p.goto(url); await p.waitForLoadState('networkidle');
for (const s of steps) { const [k,...v]=s.split('='); const val=v.join('='); if(k==='click') await p.getByRole('button',{name:val}).first().click(); if(k==='text') await p.getByText(val).first().click(); await p.waitForTimeout(400);}
await p.screenshot({path:out}); await b.close();
