import { useEffect, useRef, useState } from "react";
import { createPortal } from "react-dom";
import type { DeskCommands } from "./commands.ts";
import { DensityStrip } from "./DensityStrip.tsx";
import { Galley } from "./galley/galley.ts";
import { isSheet } from "./galley/structure.ts";
import type { GalleyFace } from "./galley-face.ts";
import { Slip } from "./Slip.tsx";
import type { DeskSession } from "./session.ts";
import { rangeOf } from "./subject.ts";
import { useSlice } from "./use-slice.ts";

interface GalleyPaneProps {
  session: DeskSession;
  commands: DeskCommands;
  asking: boolean;
  nonce: string;
  /** Called with the galley once it is there. */
  onReady: (galley: Galley) => void;
}

/** The text, the slip inside it, and the strip beside it. */
export function GalleyPane({ session, commands, asking, nonce, onReady }: GalleyPaneProps) {
  const { reading, open } = useSlice(session, "reading", "open");
  const parent = useRef<HTMLDivElement>(null);
  const [galley, setGalley] = useState<Galley | null>(null);
  const [view, setView] = useState({ from: 0, to: 0 });
  useEffect(() => {
    if (!parent.current) return;
    const made = new Galley(
      parent.current,
      session.current(),
      {
        typed: (edits) => session.typing.type(edits),
        refuses: (edit) => session.whyRefused(edit),
        refused: (reason) => session.say(reason),
        picked: (id) => session.walk.goTo(id),
        selected: (from, to) => session.walk.atHand(from, to),
        left: (selected) => void session.typing.leave(selected),
        typing: (on) => session.typing.set(on),
        undo: () => void session.deciding.undoLast(),
        redo: () => void session.deciding.redo(),
        scrolled: (from, to) => setView({ from, to }),
      },
      nonce,
    );
    session.attach(faceOf(made, session));
    setGalley(made);
    onReady(made);
    return () => made.destroy();
  }, [session, nonce, onReady]);
  useEffect(() => galley?.setEditable(!reading), [galley, reading]);
  const go = (share: number) => {
    const at = share * session.current().text.length;
    const nearest = open.reduce<(typeof open)[number] | undefined>(
      (best, place) =>
        best && Math.abs(best.from - at) <= Math.abs(place.from - at) ? best : place,
      undefined,
    );
    if (nearest) session.walk.goTo(nearest.mark.id);
    else galley?.scrollTo(Math.round(at));
  };
  return (
    <div className="relative min-h-0 grow">
      <div
        ref={parent}
        className="absolute inset-y-0 right-6.5 left-7.5 border-x border-hair bg-sheet"
      />
      <DensityStrip open={open} length={session.current().text.length} view={view} onGo={go} />
      {galley
        ? createPortal(<Slip session={session} commands={commands} asking={asking} />, galley.slip)
        : null}
    </div>
  );
}

/** Draws the session's marks in the galley and carries its wishes out. */
function faceOf(galley: Galley, session: DeskSession): GalleyFace {
  return {
    apply: (edits) => galley.apply(edits),
    redraw(blocks) {
      const { open } = session.state;
      const sheet = isSheet(session.current().blocks);
      const drawn = open.map(({ mark, from, to }) => ({
        id: mark.id,
        from,
        to,
        weight: mark.weight,
        rule: mark.rule,
        // In a sheet the margin says where the mark stands.
        code: sheet ? (session.blockAt(mark.block)?.cell?.address ?? mark.code) : mark.code,
      }));
      const whole = { from: 0, to: session.current().text.length };
      const stretches =
        blocks === "all"
          ? [whole]
          : blocks.flatMap((index) => {
              const block = session.blockAt(index);
              return block ? [{ from: block.from, to: block.to }] : [];
            });
      galley.draw(
        stretches.map(({ from, to }) => ({
          from,
          to,
          marks: drawn.filter((mark) => mark.from >= from && mark.to <= to),
        })),
      );
    },
    show(subject, preview) {
      const { from, to } = rangeOf(subject);
      return galley.show({ from, to, preview });
    },
    preview: (edits) => galley.preview(edits),
    hide: () => galley.hide(),
    showOutcome: (ranges) => galley.showOutcome(ranges),
    showSpoken: (spoken) => galley.showSpoken(spoken),
  };
}
