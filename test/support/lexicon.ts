export { loadLexicon } from "../../src/command/checking.ts";
