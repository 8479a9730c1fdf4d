/** What one screen is for, in a maker's words, with an example from the demo. */
export interface Guide {
  title: string;
  what: string;
  /** Keys and gestures, each with what it does. */
  keys: readonly (readonly [string, string])[];
  example: string;
  /** Where the manual goes on about it. */
  page: string;
}

/** By the first part of an address. */
export const GUIDES: Record<string, Guide> = {
  today: {
    title: "Today",
    what: "What is due: pieces to take out, next layers, checks, moulds to put away. What is overdue comes first, with what can still be done.",
    keys: [["Tap a line", "opens the evening it belongs to"]],
    example:
      "The Harbour knobs poured on Saturday at 10:22 come out on Sunday from 13:52. Nobody has to be there in the night.",
    page: "09-cure",
  },
  plan: {
    title: "Plan",
    what: "Say which moulds you fill and in which colours; the grams of A and B, the cups, the order and the days follow. Whatever you change, the plan is worked out anew.",
    keys: [
      ["+ a mould", "puts one on the board: from the shelf, or new"],
      ["A mould", "opens its layers, colours, embeds, finish and trials"],
      ["change", "when, where, which resin, what there is of it, and how this session works"],
      ["A cup", "opens what is stirred in; type drops, scoops, grams or %"],
      ["Ctrl Z, Ctrl Shift Z", "undo and redo, outside a text field"],
      ["A dotted figure", "opens how it came about"],
      ["Confirm", "this session takes place: others plan round it"],
      ["Begin", "to the bench; the clock starts when A meets B"],
    ],
    example:
      "Six Knob 32, Harbour under clear, with eight pieces more: one batch of 217 g, five cups, the last pour at 10:29, and the cups stay pourable until 11:11.",
    page: "04-plan",
  },
  sessions: {
    title: "Sessions",
    what: "All that you planned, with a picture of each board and how far it has come. What was typed and not saved stands above.",
    keys: [
      ["Find", "by name, mould, colour or resin"],
      ["Copy", "the same once more, with a name and a day of its own"],
      ["Remove", "into the bin; it can be brought back until the bin is emptied"],
    ],
    example: "“Pantry knobs, first set” again next Saturday: Copy, then Make the copy.",
    page: "04-plan",
  },
  pour: {
    title: "Pour",
    what: "The bench: one step in large letters, the clocks of all cups, and what comes next. Whatever happens, nothing you told it is lost.",
    keys: [
      ["Space", "done, next step"],
      ["Large letters", "the step for across the room"],
      ["Stepped away", "the phone rang: on return, what can still be poured"],
      ["Trouble", "wrong colour, spilled, a leak, foam: what to do, and what it costs"],
    ],
    example: "The phone rings after the third pour. Tell it afterwards; the rest is laid out anew.",
    page: "07-pouring",
  },
  moulds: {
    title: "Moulds",
    what: "What each mould holds, how it is made and what it has been through. Water tells a volume best.",
    keys: [["Measure a mould", "by water, by a model, by its shape, or as you know it"]],
    example: "Knob 32 weighs 84.1 g empty and 95.9 g full of water: 11.8 mL.",
    page: "02-moulds",
  },
  shelf: {
    title: "Shelf",
    what: "Resins with their labels, jars, colours, cups, embeds and tools. What a label does not say may stay unknown.",
    keys: [["A line", "opens it; what is typed is checked at once"]],
    example:
      "Twenty drops of the sea-blue tint weigh 0.63 g: its drop is 0.031 g, and doses are counted with that.",
    page: "03-resin",
  },
  practice: {
    title: "Practice",
    what: "What if: another room, another cup, warmer bottles. And evenings to rehearse at the bench, in which something goes wrong.",
    keys: [
      ["Sliders", "change one thing; the curves follow"],
      ["Time a resin", "mix a little and say how it is: its own clock is learned from it"],
    ],
    example: "100 g of the slow resin at 24 °C instead of 18 °C: about half an hour less.",
    page: "06-mixing",
  },
  mix: {
    title: "Just mix",
    what: "A total and a ratio, and the clock runs. Nothing is kept unless you ask for it.",
    keys: [
      ["Mixed: start the clock", "when A meets B"],
      ["Read between the marks", "where the total falls between two marks of your cup"],
    ],
    example: "143 mL of a 1:1 resin: 71.5 mL of A and 71.5 mL of B.",
    page: "06-mixing",
  },
  workshop: {
    title: "My workshop",
    what: "How you work: hours, room, units, and every habit in which makers differ. A new session begins with it; what you change is kept by itself.",
    keys: [
      ["As at first", "puts a group back to the usual values of the trade"],
      ["Change it there too", "takes a changed habit over into the session planned next"],
    ],
    example:
      "Rest for bubbles 12 min instead of 8: the last pour of the pantry knobs comes 4 min later.",
    page: "10-rules-of-thumb",
  },
  journal: {
    title: "Journal",
    what: "Every evening with its pieces, how they came out, and why. It is written by itself from what you told the bench.",
    keys: [
      ["Find", "a mould, colour, resin, fault, tag code or word; the choices beside it combine"],
      ["A piece", "opens all that went into it, what may have gone wrong, and what became of it"],
      ["An evening", "looks over many pieces at once, and corrects what was told wrong"],
      [
        "How many came out well",
        "counts by mould, colour, resin or month, says what trials showed, and finds worn moulds",
      ],
      ["Learned", "your resins, moulds, room and hands, planned with when you say so, or always"],
    ],
    example:
      "Cloudy Harbour knobs: the room was 17 °C that evening. Cold comes first; the next test is one piece at 23 °C.",
    page: "09-cure",
  },
  manual: {
    title: "Manual",
    what: "Ten pages in the order of the work, safety first. The last one holds every rule of thumb that stands in where nobody measured.",
    keys: [["A page", "opens it; Print puts it on paper"]],
    example: "Page 8 says what a gel join is, and why it has a window.",
    page: "01-safety",
  },
};
