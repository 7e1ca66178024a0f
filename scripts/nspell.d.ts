declare module "nspell" {
  interface Speller {
    correct(word: string): boolean;
    suggest(word: string): string[];
  }
  export default function nspell(dictionary: { aff: Buffer; dic: Buffer }): Speller;
}
