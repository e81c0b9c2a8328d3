/** What each demo job is there to show, by its id. */
export const DEMO_SHOWS: Readonly<Record<string, string>> = {
  "019c6ade-eb00-7241-85af-9da521a8da87":
    "Four speeds told by ohms, the label, and three visits of one unit.",
  "019e8db6-5f80-7686-8679-52e1d60d5530":
    "Four leads where three were: keep the dual, or a separate capacitor.",
  "01a023c7-ece0-7247-8a80-8a5c4e05b138": "Two like windings that turn either way, by a two-way switch.",
  "01a11fa8-8420-7d31-8620-090c12fc9de8": "A winding that touches the shell: a stop, and nothing is landed.",
  "019f3683-4380-753e-8f8d-6ff25f62ff26":
    "A pump joined for the wrong voltage: the fewest moves, and the proof.",
  "019d8c66-2e40-76b8-89b5-31e4d2e5f138": "Two main windings, one for each speed.",
  "01a061cf-bf40-753e-8fef-36645d1bf919": "Nine leads without numbers: battery kicks give them back.",
  "01a158b3-2d60-7cb8-8d79-26e5ac30ce95":
    "An electronic motor in a plain one’s place, by its three harnesses.",
  "01a1a0e7-aca0-7ba6-86b4-a504f3b52ba3": "A relay that never drops out, found by volts and amps.",
  "01a1d04a-6960-76ce-8535-1f89671a9d35": "A hot protector that read open, and ohms an hour later.",
};
