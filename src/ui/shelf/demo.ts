import { z } from "zod";
import { readHouseStyle } from "../../core/house/style.ts";
import { readHouse, readSettings, restoreHouse, updateSettings } from "../../store/house.ts";
import type { ProofreaderLink } from "../../worker/connect.ts";
import { takeIn } from "./intake.ts";

const indexSchema = z.object({ files: z.array(z.string()) });

/** On the very first start, puts the demo documents on the shelf. Deleting them is final. */
export async function shelveDemo(worker: ProofreaderLink): Promise<boolean> {
  if ((await readSettings()).demoShelved) return false;
  const response = await fetch("/demo/index.json");
  if (!response.ok) return false;
  const { files } = indexSchema.parse(await response.json());
  // Marked before the files come in: a page closed half-way must not bring them in twice.
  await updateSettings({ demoShelved: true });
  for (const name of files.toReversed()) {
    const file = await fetch(`/demo/${encodeURIComponent(name)}`);
    if (file.ok) await takeIn(worker, name, new Uint8Array(await file.arrayBuffer()), true);
  }
  await bringHouse();
  return true;
}

/** A house style to try, which no document follows yet. */
async function bringHouse(): Promise<void> {
  const response = await fetch("/demo/house.json");
  if (!response.ok) return;
  const house = readHouseStyle(await response.json());
  if (!(await readHouse(house.id))) await restoreHouse(house);
}
