/** Where real documents are found: installed packages, whose texts are read in place and never kept. */
export interface Source {
  kind: string;
  /** What holds them, with the licence it states. */
  origin: string;
  folder: string;
  files: RegExp;
  /** How many of the files, evenly spread. */
  take: number;
  /** Files that hold many short texts: the line between two of them. */
  parted?: RegExp;
}

const MODULES = "node_modules";
const DOC = "/usr/share/doc";

/** Licences: of npm packages their own, each in its folder; of Debian packages as in their copyright file. */
export const SOURCES: readonly Source[] = [
  {
    kind: "read-me file",
    origin: "npm, the packages this project installs",
    folder: MODULES,
    files: /^(?:@[^/]+\/)?[^/]+\/readme\.md$/i,
    take: 40,
  },
  {
    kind: "list of changes",
    origin: "npm, likewise",
    folder: MODULES,
    files: /^(?:@[^/]+\/)?[^/]+\/changelog\.md$/i,
    take: 20,
  },
  {
    kind: "rules for contributors",
    origin: "npm, likewise",
    folder: MODULES,
    files: /^(?:@[^/]+\/)?[^/]+\/(?:contributing|code_of_conduct|security)\.md$/i,
    take: 10,
  },
  {
    kind: "licence",
    origin: "npm and Debian, likewise",
    folder: "/usr/share/common-licenses",
    files: /^[^.]+/,
    take: 10,
  },
  {
    kind: "word-processor document",
    origin: "npm mammoth (BSD-2), test data",
    folder: `${MODULES}/mammoth/test/test-data`,
    files: /\.docx$/,
    take: 12,
  },
  {
    kind: "notes for administrators",
    origin: "Debian, README files of installed packages",
    folder: DOC,
    files: /^[^/]+\/(?:README(?:\.Debian)?|NEWS(?:\.Debian)?|TODO|BUGS|FAQ)(?:\.gz)?$/,
    take: 30,
  },
  {
    kind: "release notes",
    origin: "Debian git (GPL-2)",
    folder: `${DOC}/git/RelNotes`,
    files: /\.txt(?:\.gz)?$/,
    take: 16,
  },
  {
    kind: "manual of commands",
    origin: "Debian git-doc (GPL-2)",
    folder: `${DOC}/git/html`,
    files: /\.html$/,
    take: 14,
  },
  {
    kind: "manual of a database",
    origin: "Debian sqlite3-doc (public domain)",
    folder: `${DOC}/sqlite3`,
    files: /\.html$/,
    take: 14,
  },
  {
    kind: "manual of a server",
    origin: "Debian apache2-doc (Apache-2.0)",
    folder: `${DOC}/apache2-doc/manual/en`,
    files: /\.html(?:\.en)?$/,
    take: 14,
  },
  {
    kind: "reference",
    origin: "Debian postgresql-doc-15 (PostgreSQL)",
    folder: `${DOC}/postgresql-doc-15/html`,
    files: /\.html$/,
    take: 14,
  },
  {
    kind: "policy",
    origin: "Debian debian-policy, developers-reference, doc-debian (GPL-2)",
    folder: DOC,
    files:
      /^(?:debian-policy|developers-reference|debian|debian-faq|doc-debian)\/.*\.(?:txt|html|en\.html)(?:\.gz)?$/,
    take: 16,
  },
  {
    kind: "essay",
    origin: "Debian anarchism (GPL-2)",
    folder: `${DOC}/anarchism/html`,
    files: /\.html$/,
    take: 14,
  },
  {
    kind: "mail",
    origin: "Debian libpython3.11-testsuite (PSF-2), test messages",
    folder: "/usr/lib/python3.11/test/test_email/data",
    files: /\.txt$/,
    take: 16,
  },
  {
    kind: "quotations",
    origin: "Debian fortunes (various, as its copyright file states)",
    folder: "/usr/share/games/fortunes",
    files: /^[^.]+$/,
    take: 20,
  },
  {
    kind: "game dialogue",
    origin: "Debian endless-sky-data (GPL-3)",
    folder: "/usr/share/games/endless-sky/data",
    files: /\.txt$/,
    take: 20,
  },
  {
    kind: "descriptions of packages",
    origin: "Debian, the status file of installed packages",
    folder: "/var/lib/dpkg",
    files: /^status$/,
    take: 12,
    parted: /\n\n/,
  },
  {
    kind: "reference with listings",
    origin: "Debian perl-doc (Artistic or GPL)",
    folder: "/usr/share/perl/5.36.0",
    files: /\.pod$/,
    take: 16,
  },
];
