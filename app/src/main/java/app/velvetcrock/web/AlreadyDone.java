package app.velvetcrock.web;

/** Somebody did this very thing before; said in words, and nothing is written twice. */
public class AlreadyDone extends Refused {

    public AlreadyDone(String reason) {
        super(reason);
    }
}
