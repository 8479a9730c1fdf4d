/** Things on the bench that measure, each behind an interface, and stand-ins for all of them. */
package calmpour.app.device;
