import { browse, served } from "./lib.mjs";
const { OWN_TRAILS } = await import("../web/e2e/trails.ts");
const server = await served(4555);
const browser = await browse();
const [w,h,units,which]=process.argv.slice(2);
const page = await browser.newPage({ viewport: { width: +w, height: +h } });
page.on("console",m=>m.type()==="error"&&console.log("ERR",m.text().slice(0,300)));
page.on("pageerror",e=>console.log("PE",e.message.slice(0,300)));
try {
  for (const i of which.split(",").map(Number)) {
    const t=OWN_TRAILS[i];
    await page.goto(server.url+"/begin/");
    await page.getByLabel("Units").selectOption(units);
    await page.getByTestId("gpx-file").setInputFiles(t.file);
    await page.getByRole("button",{name:"Calculate my plan"}).waitFor();
    await page.waitForTimeout(1500);
    await page.screenshot({path:`/tmp/b${i}-${w}.png`,fullPage:true});
    await page.getByRole("button",{name:"Calculate my plan"}).click({timeout:10000});
    await page.getByTestId("first-answer").waitFor({timeout:20000});
    await page.waitForTimeout(4000);
    console.log(t.name, await page.getByTestId("first-answer").innerText(), "|", (await page.getByTestId("assumptions").innerText()).replace(/\n/g," / "));
    console.log((await page.getByTestId("first-choices").innerText()).replace(/\n/g," / "));
    await page.screenshot({path:`/tmp/f${i}-${w}.png`,fullPage:true});
    await page.getByRole("link",{name:"Show my plan"}).click({timeout:10000});
    await page.waitForTimeout(1500);
    await page.screenshot({path:`/tmp/l${i}-${w}.png`});
  }
} catch(e){console.log(String(e).slice(0,400))} finally { await browser.close(); server.stop(); process.exit(0); }
