import config from "./playwright.config.ts";
export default { ...config, timeout: 90_000, expect: { timeout: 9_000 } };
