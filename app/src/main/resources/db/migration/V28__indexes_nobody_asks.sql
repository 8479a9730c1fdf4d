-- Pieces are found among all that are at hand; nothing asks these any more, and every evening that is written pays for them.
drop index journal_piece_words;
drop index journal_piece_code;
drop index journal_pour_colour;
drop index journal_fault_what;
