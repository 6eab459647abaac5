import { browse, served } from "./lib.mjs";
const server = await served(4556);
const browser = await browse();
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  page.on("pageerror",e=>console.log("PE",e.message.slice(0,300)));
  await page.goto(server.url+"/kit/?leg=9");
  await page.getByTestId("kit-head").waitFor({timeout:20000});
  await page.waitForTimeout(1000);
  await page.evaluate(()=>document.querySelector("[data-testid=kit-head]").scrollIntoView());
  await page.screenshot({path:"/tmp/kit.png"});
  await page.setViewportSize({width:390,height:844});
  await page.waitForTimeout(800);
  await page.screenshot({path:"/tmp/kit390.png"});
  await page.goto(server.url+"/log/");
  await page.getByTestId("today").waitFor({timeout:20000});
  await page.getByLabel("Where the day ended").fill("12");
  await page.waitForTimeout(600);
  await page.evaluate(()=>document.querySelector("[data-testid=today]").scrollIntoView());
  await page.screenshot({path:"/tmp/log390.png"});
  await page.goto(server.url+"/trail/");
  await page.setViewportSize({width:1280,height:800});
  await page.waitForTimeout(2500);
  await page.screenshot({path:"/tmp/trail.png"});
} catch(e){console.log(String(e).slice(0,400))} finally { await browser.close(); server.stop(); process.exit(0); }
