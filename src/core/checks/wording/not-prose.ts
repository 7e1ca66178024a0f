export const NOT_PROSE = ["heading", "cell", "caption"] as const;
