import { NotKept } from "../../store/failure.ts";
import { connectProofreader } from "../../worker/connect.ts";
import { takeIn } from "../shelf/intake.ts";
import type { DeskSession } from "./session.ts";

/** Puts dropped files on the shelf and goes to them; what can't be read is said, and the desk stays. */
export async function openDropped(session: DeskSession, files: FileList): Promise<void> {
  const worker = connectProofreader();
  const said: string[] = [];
  let last = "";
  for (const file of files) {
    session.say(`Reading ${file.name}…`);
    try {
      const taken = await takeIn(
        worker,
        file.name,
        new Uint8Array(await file.arrayBuffer()),
        false,
      );
      if ("problem" in taken) said.push(`${file.name}: ${taken.problem}`);
      else last = taken.record.id;
    } catch (error) {
      said.push(
        `${file.name}: ${error instanceof NotKept ? error.sentence : "it could not be read."}`,
      );
    }
  }
  if (said.length > 0) return session.say(said.join(" "));
  await session.flush();
  location.assign(files.length === 1 ? `/desk?doc=${last}` : "/");
}
