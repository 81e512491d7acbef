package app.velvetcrock.batch;

import app.velvetcrock.web.Refused;

/** Somebody did this very task before; said in words, and nothing is written twice. */
public class AlreadyDone extends Refused {

    public AlreadyDone(String reason) {
        super(reason);
    }
}
