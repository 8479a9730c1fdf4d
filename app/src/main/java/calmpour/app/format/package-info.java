/** Open formats: reading strictly, and saying what is wrong. */
package calmpour.app.format;
