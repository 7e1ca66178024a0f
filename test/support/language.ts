export { loadLanguage } from "../../src/command/checking.ts";
