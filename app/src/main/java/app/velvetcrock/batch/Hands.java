package app.velvetcrock.batch;

/** Does some kinds of deeds; says which when the application starts. */
public interface Hands {

    void takeUp(Deeds.Work work);
}
