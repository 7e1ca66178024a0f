import { fillShelf } from "./browser.ts";

// For the browser tests, before any of them is run.
const file = process.env.TEST_SHELF;
if (!file) throw new Error("TEST_SHELF names the file to write");
await fillShelf(file);
