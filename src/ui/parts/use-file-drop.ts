import { useEffect, useState } from "react";

/**
 * Lets files be dropped anywhere on the page; tells whether one is held over it. Whatever else is
 * dropped, a link, an image, a stretch of text, is refused, and the page stays as it is.
 */
export function useFileDrop(take: (files: FileList) => void, refuse: () => void): boolean {
  const [over, setOver] = useState(false);
  useEffect(() => {
    const carriesFiles = (event: DragEvent) => event.dataTransfer?.types.includes("Files") ?? false;
    const hold = (event: DragEvent) => {
      event.preventDefault();
      if (carriesFiles(event)) setOver(true);
    };
    const leave = (event: DragEvent) => {
      if (event.relatedTarget === null) setOver(false);
    };
    const drop = (event: DragEvent) => {
      event.preventDefault();
      event.stopPropagation();
      setOver(false);
      const files = event.dataTransfer?.files;
      if (files && files.length > 0) take(files);
      else refuse();
    };
    // Before anything on the page sees it: an editor would put a file's contents into its text.
    addEventListener("dragover", hold, true);
    addEventListener("dragleave", leave, true);
    addEventListener("drop", drop, true);
    return () => {
      removeEventListener("dragover", hold, true);
      removeEventListener("dragleave", leave, true);
      removeEventListener("drop", drop, true);
    };
  }, [take, refuse]);
  return over;
}
