import { useCallback, useEffect, useState } from "react";
import { type HouseStyle, OWN } from "../../core/house/style.ts";
import { NotKept } from "../../store/failure.ts";
import { changeHouse, listHouses, onHousesChanged, readHouse } from "../../store/house.ts";
import type { ChangeStyle } from "./change-style.ts";

/** The house that is open, and the others. */
export interface OpenHouse {
  /** Null until it is read. */
  style: HouseStyle | null;
  houses: readonly HouseStyle[];
  /** Why the last change could not be kept; empty where it was. */
  failure: string;
  change: ChangeStyle;
  /** Reads everything again. */
  refresh(): void;
}

/** Reads a house, keeps what is changed in it, and takes over what other tabs change. */
export function useHouse(id: string): OpenHouse {
  const [style, setStyle] = useState<HouseStyle | null>(null);
  const [houses, setHouses] = useState<readonly HouseStyle[]>([]);
  const [failure, setFailure] = useState("");
  const refresh = useCallback(() => {
    void Promise.all([readHouse(id), listHouses(), readHouse(OWN)]).then(([own, all, fallback]) => {
      setStyle(own ?? fallback);
      setHouses(all);
    });
  }, [id]);
  useEffect(() => {
    refresh();
    return onHousesChanged(refresh);
  }, [refresh]);
  const change = useCallback<ChangeStyle>(
    (step) => {
      changeHouse(id, step).then(
        (next) => {
          setStyle(next);
          setHouses((now) => now.map((one) => (one.id === next.id ? next : one)));
          setFailure("");
        },
        (error: unknown) => {
          if (!(error instanceof NotKept) && !(error instanceof RangeError)) throw error;
          setFailure(error instanceof NotKept ? error.sentence : error.message);
        },
      );
    },
    [id],
  );
  return { style, houses, failure, change, refresh };
}
