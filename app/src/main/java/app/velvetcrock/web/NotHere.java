package app.velvetcrock.web;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Something asked for is not in this household; said the same whether it is nowhere or another's. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotHere extends RuntimeException {

    public NotHere(String what) {
        super(what + " is not in this stillroom");
    }
}
