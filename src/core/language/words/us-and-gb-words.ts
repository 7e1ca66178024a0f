/**
 * Words that only one side of the ocean uses, with what the other side says. Common practice; only
 * words that mean little else, so that no "fall" or "pants" is questioned.
 */
const AMERICAN_WORDS = `sidewalk pavement
sidewalks pavements
faucet tap
faucets taps
diaper nappy
diapers nappies
gasoline petrol
eggplant aubergine
eggplants aubergines
zucchini courgette
cilantro coriander
drugstore chemist’s
windshield windscreen
windshields windscreens
freeway motorway
freeways motorways
streetcar tram
streetcars trams
crosswalk pedestrian crossing
mailman postman
thumbtack drawing pin
thumbtacks drawing pins
flashlight torch
flashlights torches
vacationer holidaymaker
vacationers holidaymakers
stroller pushchair
airplane aeroplane
airplanes aeroplanes
gotten got
math maths`;

const BRITISH_ONLY = `lorry truck
lorries trucks
petrol gasoline
nappy diaper
nappies diapers
windscreen windshield
aubergine eggplant
courgette zucchini
whilst while
amongst among
fortnight two weeks
holidaymaker vacationer
holidaymakers vacationers
aeroplane airplane
aeroplanes airplanes
maths math`;

function pairs(list: string): Map<string, string> {
  return new Map(
    list.split("\n").map((line) => {
      const space = line.indexOf(" ");
      return [line.slice(0, space), line.slice(space + 1)];
    }),
  );
}

const AMERICAN = pairs(AMERICAN_WORDS);
const BRITISH = pairs(BRITISH_ONLY);

/** Whether a lower-case word is used in Britain and hardly in America. */
export function isBritishWord(word: string): boolean {
  return BRITISH.has(word);
}

/** What a word that only one side uses is called on the other; null for any other word. */
export function otherWord(word: string): string | null {
  return AMERICAN.get(word) ?? BRITISH.get(word) ?? null;
}
