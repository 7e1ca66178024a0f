/**
 * Symbols of units as they stand after a number: the International System of Units (SI Brochure, 9th
 * edition, tables 2, 4, 7 and 8) with their prefixes, and units of the trade (common practice).
 */
const BASE = "m g s A K mol cd Hz N Pa J W C V F S Wb T H lm lx Bq Gy Sv kat L l t eV Da bit B bar";
const PREFIXES = "Q R Y Z E P T G M k h da d c m µ μ u n p f a z y r q";
const OTHER =
  "ft yd mi nmi kn kt kts lb lbs oz gal pt qt mph kph rpm psi ppm ppb ppt dpi fps min hr hrs ha sr rad psu atm mmHg Torr cal kcal Btu hp cfs cumec mya ka kyr Ma Myr wt vol sec secs msec deg au pc kpc Mpc ly dB dBA px em rem bps kbps Mbps Gbps KB kB MB GB TB PB KiB MiB GiB TiB cc sq cu fl fathom fathoms";

export const UNIT_SYMBOLS: ReadonlySet<string> = new Set([
  ...OTHER.split(" "),
  ...BASE.split(" "),
  ...BASE.split(" ").flatMap((unit) => PREFIXES.split(" ").map((prefix) => prefix + unit)),
]);
