export { seeded } from "../test/support/random.ts";
