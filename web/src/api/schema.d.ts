export interface paths {
    "/api/v1/blend": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Work out a mix without a case
         * @description Work out a mix without a case. Needs a session and its token.
         */
        post: operations["blend"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/browse": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Causes of a plant, and causes that show what is seen
         * @description Causes of a plant, and causes that show what is seen. Needs a session.
         */
        get: operations["browse"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/calendars": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Private addresses of calendars that are open
         * @description Private addresses of calendars that are open. Needs a session.
         */
        get: operations["feeds"];
        put?: never;
        /**
         * Open a private address of a calendar: the desk's, or one grower's
         * @description Open a private address of a calendar: the desk's, or one grower's. Needs a session and its token.
         */
        post: operations["open-feed"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/calendars/{token}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * End a private address
         * @description End a private address. Needs a session and its token.
         */
        delete: operations["end-feed"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Cases of a stage, newest first
         * @description Cases of a stage, newest first. Needs a session.
         */
        get: operations["list-cases"];
        put?: never;
        /**
         * Check a sample in
         * @description Check a sample in. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["check-in"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * One case with its ranking and steps
         * @description One case with its ranking and steps. Needs a session.
         */
        get: operations["case"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/act": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Record the count and whether to act
         * @description Record the count and whether to act. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-act"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/advice": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The ladder for this case today
         * @description The ladder for this case today. Needs a session.
         */
        get: operations["advice"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/close": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Close the case
         * @description Close the case. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["close"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/days": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Keep the treatment days
         * @description Keep the treatment days. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-days"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/dose": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Keep an amount for a bed, pots or plants
         * @description Keep an amount for a bed, pots or plants. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-dose"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/followup": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Record how it went
         * @description Record how it went. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["follow-up"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/handover": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Hand the page over
         * @description Hand the page over. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["hand-over"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/intake": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Correct what was brought in
         * @description Correct what was brought in. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-intake"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/keeper": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Make a case somebody else's
         * @description Make a case somebody else's. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["give-case"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/looks/{finding}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Record one finding
         * @description Record one finding. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-look"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/looks/{finding}/aside": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Put a look aside with its reason, or let it count again
         * @description Put a look aside with its reason, or let it count again. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["put-look-aside"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/messages": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Messages to the grower of a case, and how far they have come
         * @description Messages to the grower of a case, and how far they have come. Needs a session.
         */
        get: operations["messages"];
        put?: never;
        /**
         * Send the grower the page, or ask how it went; the same is never sent twice
         * @description Send the grower the page, or ask how it went; the same is never sent twice. Needs a session and its token.
         */
        post: operations["send-message"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/messages/none": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Keep that this grower wants no messages, or take that back
         * @description Keep that this grower wants no messages, or take that back. Needs a session and its token.
         */
        put: operations["no-messages"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/mix": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Keep the amounts for the grower's sprayer
         * @description Keep the amounts for the grower's sprayer. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-mix"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/next": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take the next step that is advised, its days set with it
         * @description Take the next step that is advised, its days set with it. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["take-next"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/page/end": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take the grower's address back
         * @description Take the grower's address back. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["end-page"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/photos": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Attach a picture the grower brought
         * @description Attach a picture the grower brought. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["add-photo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/photos/{photo}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * One picture, as JPEG
         * @description One picture, as JPEG. Needs a session.
         */
        get: operations["photo"];
        put?: never;
        post?: never;
        /**
         * Take a picture off the case
         * @description Take a picture off the case. Needs a session and its token; what carries a version is changed with If-Match.
         */
        delete: operations["drop-photo"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/photos/{photo}/marks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Keep what was measured on a picture
         * @description Keep what was measured on a picture. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["mark-photo"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/photos/{photo}/share": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * How much of a leaf on a picture is sick
         * @description How much of a leaf on a picture is sick. Needs a session and its token.
         */
        post: operations["leaf-share"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/plan-days": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Work the days out
         * @description Work the days out. Needs a session and its token.
         */
        post: operations["plan-days"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/remedy": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Choose what to do
         * @description Choose what to do. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-remedy"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/reopen": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Open a closed case again
         * @description Open a closed case again. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["reopen"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/review": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Agree with a trainee's verdict, or send it back
         * @description Agree with a trainee's verdict, or send it back. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["review"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/round": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Start the next round
         * @description Start the next round. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["next-round"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/say": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Lines by the words a person has for what they see
         * @description Lines by the words a person has for what they see. Needs a session.
         */
        get: operations["say"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/school": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Answer a question of the trade for this case
         * @description Answer a question of the trade for this case. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-school"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/sheet": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The grower's page as it would be handed over
         * @description The grower's page as it would be handed over. Needs a session.
         */
        get: operations["sheet"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/story": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who did what and when
         * @description Who did what and when. Needs a session.
         */
        get: operations["story"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/together": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What else of this grower's could be handed over, and what was, with one list of days and of what to buy
         * @description What else of this grower's could be handed over, and what was, with one list of days and of what to buy. Needs a session.
         */
        get: operations["together"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take the last change back
         * @description Take the last change back. Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["undo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/verdict": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Settle the verdict or leave it open
         * @description Settle the verdict or leave it open. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-verdict"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/{id}/weigh": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Hold a count against what is borne
         * @description Hold a count against what is borne. Needs a session and its token.
         */
        post: operations["weigh"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/causes/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * One cause with its whole text
         * @description One cause with its whole text. Needs a session.
         */
        get: operations["cause"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/convert": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * The same physical amount in another unit
         * @description The same physical amount in another unit. Needs a session and its token.
         */
        post: operations["convert"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/day": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What a day at the desk was
         * @description What a day at the desk was. Needs a session.
         */
        get: operations["day"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * How one does in practice
         * @description How one does in practice. Needs a session.
         */
        get: operations["practice"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/cases": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * A made-up sample to practise on
         * @description A made-up sample to practise on. Needs a session and its token.
         */
        post: operations["practise-case"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/cases/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A made-up sample as far as it was looked at
         * @description A made-up sample as far as it was looked at. Needs a session.
         */
        get: operations["practice-case"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/cases/{id}/look": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Ask for one look at it
         * @description Ask for one look at it. Needs a session and its token.
         */
        post: operations["practice-look"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/cases/{id}/verdict": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Say what it is and what is done, and hear what it was worth
         * @description Say what it is and what is done, and hear what it was worth. Needs a session and its token.
         */
        post: operations["practice-verdict"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/course": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Set what is to be practised (coordinator)
         * @description Set what is to be practised (coordinator). Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-course"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/learners": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who practised how, each by themselves (coordinator)
         * @description Who practised how, each by themselves (coordinator). Needs a session.
         */
        get: operations["learners"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/old": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Closed cases of this desk that are offered as practice
         * @description Closed cases of this desk that are offered as practice. Needs a session.
         */
        get: operations["old-cases"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/old/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Offer a closed case as practice, or no longer (coordinator)
         * @description Offer a closed case as practice, or no longer (coordinator). Needs a session and its token.
         */
        put: operations["offer-old"];
        /**
         * Practise on one of them
         * @description Practise on one of them. Needs a session and its token.
         */
        post: operations["practise-old"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/questions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * The next short question
         * @description The next short question. Needs a session and its token.
         */
        post: operations["ask-me"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drill/questions/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Answer it, and hear what is right
         * @description Answer it, and hear what is right. Needs a session and its token.
         */
        post: operations["answer-me"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/earlier": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read what a grower says was sprayed, and what it could have been
         * @description Read what a grower says was sprayed, and what it could have been. Needs a session and its token.
         */
        post: operations["earlier"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/find": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Cases by words and by what they are
         * @description Cases by words and by what they are. Needs a session.
         */
        get: operations["find"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/growers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who came before, by the beginning of a name or of how they are reached
         * @description Who came before, by the beginning of a name or of how they are reached. Needs a session.
         */
        get: operations["growers"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/growers/export": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * All the desk keeps of a person (coordinator)
         * @description All the desk keeps of a person (coordinator). Needs a session.
         */
        get: operations["export-grower"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/growers/forget": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take a person out of the desk; their cases stay without them (coordinator)
         * @description Take a person out of the desk; their cases stay without them (coordinator). Needs a session and its token.
         */
        post: operations["forget-grower"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/growers/mentions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Where parts of a person's name stand alone in their cases (coordinator)
         * @description Where parts of a person's name stand alone in their cases (coordinator). Needs a session.
         */
        get: operations["grower-mentions"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/growers/merge": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Two persons are one (coordinator)
         * @description Two persons are one (coordinator). Needs a session and its token.
         */
        post: operations["merge-growers"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/growers/split": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Some cases of a person are another's (coordinator)
         * @description Some cases of a person are another's (coordinator). Needs a session and its token.
         */
        post: operations["split-grower"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/handover-together": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Hand several cases of one grower over, all or none
         * @description Hand several cases of one grower over, all or none. Needs a session and its token.
         */
        post: operations["hand-over-together"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/house": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * House rules
         * @description House rules. Needs a session.
         */
        get: operations["house"];
        /**
         * Change the house rules (coordinator)
         * @description Change the house rules (coordinator). Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-house"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/identity": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who and where the desk is
         * @description Who and where the desk is. Needs a session.
         */
        get: operations["identity"];
        /**
         * Change who and where the desk is (coordinator)
         * @description Change who and where the desk is (coordinator). Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-identity"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/imports": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What was brought in from elsewhere
         * @description What was brought in from elsewhere. Needs a session.
         */
        get: operations["imports"];
        put?: never;
        /**
         * Begin to bring a file of records (coordinator)
         * @description Begin to bring a file of records (coordinator). Needs a session and its token.
         */
        post: operations["bring-file"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/imports/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Bring the next part of a file, at most 4 MB (coordinator)
         * @description Bring the next part of a file, at most 4 MB (coordinator). Needs a session and its token.
         */
        put: operations["bring-part"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/imports/{id}/keep": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begin to take in what it holds (coordinator)
         * @description Begin to take in what it holds (coordinator). Needs a session and its token.
         */
        post: operations["keep-import"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/imports/{id}/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * What a file that was brought holds; nothing is kept (coordinator)
         * @description What a file that was brought holds; nothing is kept (coordinator). Needs a session and its token.
         */
        post: operations["read-import"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/imports/{id}/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take out what was brought in at once and nobody worked on since (coordinator)
         * @description Take out what was brought in at once and nobody worked on since (coordinator). Needs a session and its token.
         */
        post: operations["undo-import"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/jobs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Long work that is going on or has ended
         * @description Long work that is going on or has ended. Needs a session.
         */
        get: operations["jobs"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/jobs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Cancel long work
         * @description Cancel long work. Needs a session and its token.
         */
        delete: operations["stop-job"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/join/{token}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Whom an address lets in
         * @description Whom an address lets in. Needs no session.
         */
        get: operations["invited"];
        put?: never;
        /**
         * Choose one's own password, once
         * @description Choose one's own password, once. Needs no session.
         */
        post: operations["join"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/keeping": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * How the desk's file and its copies stand (coordinator)
         * @description How the desk's file and its copies stand (coordinator). Needs a session.
         */
        get: operations["health"];
        /**
         * When the desk's file is copied by itself (coordinator)
         * @description When the desk's file is copied by itself (coordinator). Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-keeping"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/keeping/check": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Look the desk's whole file over (coordinator)
         * @description Look the desk's whole file over (coordinator). Needs a session and its token.
         */
        post: operations["check-file"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/keeping/herbarium": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Go back to the herbarium as it ships (coordinator)
         * @description Go back to the herbarium as it ships (coordinator). Needs a session and its token.
         */
        delete: operations["drop-book"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/keeping/now": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Copy the desk's file at once (coordinator)
         * @description Copy the desk's file at once (coordinator). Needs a session and its token.
         */
        post: operations["backup-now"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/keeping/troubles": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What went wrong inside the program in the last seven days (coordinator)
         * @description What went wrong inside the program in the last seven days (coordinator). Needs a session.
         */
        get: operations["troubles"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/need": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * How much finished mix these plants want
         * @description How much finished mix these plants want. Needs a session and its token.
         */
        post: operations["need"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/page/{token}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The grower's own page, without an account
         * @description The grower's own page, without an account. Needs no session.
         */
        get: operations["page"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who may sign in, and who no longer
         * @description Who may sign in, and who no longer. Needs a session.
         */
        get: operations["people"];
        put?: never;
        /**
         * Add a person (coordinator)
         * @description Add a person (coordinator). Needs a session and its token; what carries a version is changed with If-Match.
         */
        post: operations["add-person"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people/invite": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Ask somebody new in, who chooses their own password (coordinator)
         * @description Ask somebody new in, who chooses their own password (coordinator). Needs a session and its token.
         */
        post: operations["invite"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people/trace": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who let whom in, switched whom off, gave whom which role (coordinator)
         * @description Who let whom in, switched whom off, gave whom which role (coordinator). Needs a session.
         */
        get: operations["people-trace"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Change a person's name, role or password, or switch them off (coordinator)
         * @description Change a person's name, role or password, or switch them off (coordinator). Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-person"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people/{id}/invite": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Another address to choose a password at (coordinator)
         * @description Another address to choose a password at (coordinator). Needs a session and its token.
         */
        post: operations["invite-again"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people/{id}/sessions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Where somebody is signed in: oneself, or for a coordinator anybody
         * @description Where somebody is signed in: oneself, or for a coordinator anybody. Needs a session.
         */
        get: operations["sessions"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/people/{id}/sessions/{session}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * End one of them
         * @description End one of them. Needs a session and its token.
         */
        delete: operations["end-session"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/place": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Dust, drench or helpers over a bed, pots or plants
         * @description Dust, drench or helpers over a bed, pots or plants. Needs a session and its token.
         */
        post: operations["place"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/records": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The tables that leave the desk, with their columns and units
         * @description The tables that leave the desk, with their columns and units. Needs a session.
         */
        get: operations["record-tables"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/records/export": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Begin to write a file of records
         * @description Begin to write a file of records. Needs a session and its token.
         */
        post: operations["export-records"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/rounds": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Every follow-up: answered, to telephone, late, due, moved by the weather, soon
         * @description Every follow-up: answered, to telephone, late, due, moved by the weather, soon. Needs a session.
         */
        get: operations["rounds"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/scope/calibrations": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What this person's microscopes are calibrated to
         * @description What this person's microscopes are calibrated to. Needs a session.
         */
        get: operations["calibrations"];
        /**
         * Keep a calibration of a microscope, or drop it
         * @description Keep a calibration of a microscope, or drop it. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["calibrate"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/scope/camera": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What the microscope's camera says of itself
         * @description What the microscope's camera says of itself. Needs a session.
         */
        get: operations["camera"];
        /**
         * Set objective, exposure or slide of the camera (not for trainees)
         * @description Set objective, exposure or slide of the camera (not for trainees). Needs a session and its token.
         */
        put: operations["set-camera"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/scope/camera/frame": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * One frame of the camera, as JPEG
         * @description One frame of the camera, as JPEG. Needs a session.
         */
        get: operations["camera-frame"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/scope/identify": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Weigh the species of the key by what was seen on a slide
         * @description Weigh the species of the key by what was seen on a slide. Needs a session and its token.
         */
        post: operations["identify"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/scope/key": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The slide key: characters and species
         * @description The slide key: characters and species. Needs a session.
         */
        get: operations["slide-key"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/scope/photo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Lengths and areas on a picture by a known length in it
         * @description Lengths and areas on a picture by a known length in it. Needs a session and its token.
         */
        post: operations["photo-scale"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/scope/ratio": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Two lengths measured in turn against the line of a key
         * @description Two lengths measured in turn against the line of a key. Needs a session and its token.
         */
        post: operations["ratio"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/scope/reticle": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * What one eyepiece division is long
         * @description What one eyepiece division is long. Needs a session and its token.
         */
        post: operations["reticle"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/search": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Find cases by words
         * @description Find cases by words. Needs a session.
         */
        get: operations["search"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/searches": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * One's own kept questions
         * @description One's own kept questions. Needs a session.
         */
        get: operations["saved-searches"];
        put?: never;
        /**
         * Keep a question for oneself
         * @description Keep a question for oneself. Needs a session and its token.
         */
        post: operations["save-search"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/searches/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Take a kept question out
         * @description Take a kept question out. Needs a session and its token.
         */
        delete: operations["drop-search"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/season": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What came in over some weeks, what was done and what came of it
         * @description What came in over some weeks, what was done and what came of it. Needs a session.
         */
        get: operations["season"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/session": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Who is signed in
         * @description Who is signed in. Needs a session.
         */
        get: operations["session"];
        put?: never;
        /**
         * Sign in
         * @description Sign in. Needs no session.
         */
        post: operations["sign-in"];
        /**
         * Sign out here
         * @description Sign out here. Needs a session and its token; what carries a version is changed with If-Match.
         */
        delete: operations["sign-out"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/session/password": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Change one's own password; every other session ends
         * @description Change one's own password; every other session ends. Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-password"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/sessions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Sign out on every machine
         * @description Sign out on every machine. Needs a session and its token; what carries a version is changed with If-Match.
         */
        delete: operations["sign-out-everywhere"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/split": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The looks that tell two or three causes apart
         * @description The looks that tell two or three causes apart. Needs a session.
         */
        get: operations["split"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/spray-days": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The coming days hour by hour for a treatment, and what wet leaves let in
         * @description The coming days hour by hour for a treatment, and what wet leaves let in. Needs a session.
         */
        get: operations["spray-days"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/spray-days/lately": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The air of the last days: pressure, wet spells, and what still protects the plants of open cases
         * @description The air of the last days: pressure, wet spells, and what still protects the plants of open cases. Needs a session.
         */
        get: operations["lately"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/spray-days/since": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * What is left of something that protects, and when it may be put on again
         * @description What is left of something that protects, and when it may be put on again. Needs a session.
         */
        get: operations["since-spray"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/spray-days/winter": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * A dormant programme: whether last year deserves one, tasks, sprays and their days
         * @description A dormant programme: whether last year deserves one, tasks, sprays and their days. Needs a session and its token.
         */
        post: operations["winter"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/templates": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The words of messages
         * @description The words of messages. Needs a session.
         */
        get: operations["templates"];
        /**
         * Change the words of messages (coordinator)
         * @description Change the words of messages (coordinator). Needs a session and its token; what carries a version is changed with If-Match.
         */
        put: operations["set-templates"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/today": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The counter: trays, who to ask, notices
         * @description The counter: trays, who to ask, notices. Needs a session.
         */
        get: operations["today"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/vocabulary": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Findings, hosts, causes and remedies of the herbarium
         * @description Findings, hosts, causes and remedies of the herbarium. Needs a session.
         */
        get: operations["vocabulary"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/weather/files": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Files of weather that were brought in, newest first
         * @description Files of weather that were brought in, newest first. Needs a session.
         */
        get: operations["weather-files"];
        put?: never;
        /**
         * Bring in a file of hours; they stand before the simulated ones
         * @description Bring in a file of hours; they stand before the simulated ones. Needs a session and its token.
         */
        post: operations["keep-weather"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/weather/files/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Take a file of hours out again
         * @description Take a file of hours out again. Needs a session and its token.
         */
        delete: operations["drop-weather"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/weather/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read a file of hours without keeping it: columns, units, gaps, rows refused
         * @description Read a file of hours without keeping it: columns, units, gaps, rows refused. Needs a session and its token.
         */
        post: operations["read-weather"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/workload": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Whose cases are whose, and who is away
         * @description Whose cases are whose, and who is away. Needs a session.
         */
        get: operations["workload"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/workload/away": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Write down on which days somebody is not there
         * @description Write down on which days somebody is not there. Needs a session and its token.
         */
        post: operations["set-away"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/workload/away/end": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take such days back
         * @description Take such days back. Needs a session and its token.
         */
        post: operations["end-away"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/workload/give": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Give all open cases of somebody to another
         * @description Give all open cases of somebody to another. Needs a session and its token.
         */
        post: operations["give-all"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/c/{file}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The days of the desk, or of all of one grower's plants, at a private address
         * @description The days of the desk, or of all of one grower's plants, at a private address. Needs no session.
         */
        get: operations["calendar-feed"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/files/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The file a long work wrote, for whoever began it
         * @description The file a long work wrote, for whoever began it. Needs a session.
         */
        get: operations["job-file"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/p/{token}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * A grower's page
         * @description A grower's page. Needs no session.
         */
        get: operations["grower-page-html"];
        put?: never;
        /**
         * What a grower tells on their page: ticks, a word, counts, a note, a picture
         * @description What a grower tells on their page: ticks, a word, counts, a note, a picture. Needs no session.
         */
        post: operations["grower-tells"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/p/{token}/days.ics": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * The days of a grower's page as an iCalendar
         * @description The days of a grower's page as an iCalendar. Needs no session.
         */
        get: operations["grower-days"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        Account: {
            active: boolean;
            id: string;
            login: string;
            name: string;
            /** @enum {string} */
            role: "coordinator" | "advisor" | "trainee";
        };
        Act: {
            /** @description last year was bad on this plant */
            badYear?: boolean;
            by: string;
            /** @description a soil test shows too little calcium */
            calciumLow?: boolean;
            /**
             * @description what was decided
             * @enum {string}
             */
            choice: "act" | "wait" | "pull";
            /** @description the tallies kept apart, unit by unit */
            count?: components["schemas"]["Count"];
            /** @description pests per leaf or shoot */
            counts?: number[];
            /** @description without leaves; reckoned from plant and month when left out */
            dormant?: boolean;
            drought?: boolean;
            helpers?: boolean;
            /** @enum {string} */
            pressure: "light" | "moderate" | "heavy";
            /** @description leaves matched with drawn ones, per cent of area */
            severity?: number[];
            /**
             * Format: double
             * @description share of leaves hit, when not counted
             */
            share?: number;
            stages?: string[];
            /**
             * @description what the grower keeps it for
             * @enum {string}
             */
            standard?: "show" | "food" | "hedge" | "";
            /**
             * Format: int64
             * @description of picking or flowering, when it was decided
             */
            weeksLeft?: number;
            /** @description which kind of waiting or acting: leave, watch, act, spring, pull, back, save or refer */
            word?: string;
        };
        ActInput: {
            /** @description last year was bad on this plant */
            badYear?: boolean;
            /** @description a soil test shows too little calcium */
            calciumLow?: boolean;
            /** @enum {string} */
            choice: "act" | "wait" | "pull";
            /** @description several tallies kept apart, unit by unit */
            count?: components["schemas"]["Count"];
            /** @description pests per leaf or shoot, one number each; or count, not both */
            counts?: number[];
            /**
             * @description how heavy it is, by eye
             * @enum {string}
             */
            degree?: "light" | "moderate" | "heavy" | "";
            /** @description without leaves; reckoned from plant and month when left out */
            dormant?: boolean;
            drought?: boolean;
            helpers?: boolean;
            /** @enum {string} */
            pressure: "light" | "moderate" | "heavy";
            /** @description leaves matched with drawn ones, per cent of area each */
            severity?: number[];
            /**
             * Format: double
             * @description of leaves hit, when nobody counted
             */
            share?: number;
            stages?: string[];
            /**
             * @description what the grower keeps it for
             * @enum {string}
             */
            standard?: "show" | "food" | "hedge" | "";
            /**
             * Format: int64
             * @description of picking or flowering
             */
            weeksLeft?: number;
            /**
             * @description which kind of waiting or acting it is; sets when it is asked about
             * @enum {string}
             */
            word?: "leave" | "watch" | "act" | "spring" | "pull" | "back" | "save" | "refer" | "";
        };
        Action: {
            /** @description the manner for this cause, printed with the step */
            how?: string;
            /** @description the condition as data; the rules go by it */
            only?: components["schemas"]["Condition"];
            remedy: string;
            /** @description the condition in plain words, printed with the step */
            when?: string;
            /** @description good, fair or some: how much it does against this cause */
            worth: string;
        };
        Active: {
            /** Format: double */
            highGramsPerL?: number;
            /** Format: double */
            lowGramsPerL?: number;
            /** @description the active ingredient */
            of: string;
        };
        Alarm: {
            cause: string;
            /** @enum {string} */
            kind: "people" | "regulated" | "helper";
            /** Format: double */
            p: number;
            text: string;
        };
        AnswerBody: {
            /** @description id of an answer */
            choice: string;
            /** Format: double */
            sure: number;
        };
        AsideBody: {
            state: string;
            /** @description why it is no part of this, like an old scar; empty lets it count again */
            why: string;
        };
        AskBody: {
            /** @description one short form; what is fading and matters most when left out */
            kind?: string;
        };
        Asked: {
            ask: string;
            facts: string[];
            id: string;
            kind: string;
            name: string;
            options: components["schemas"]["Choice"][];
            /** @description cause whose plate is shown */
            plate?: string;
        };
        Assignee: {
            id: string;
            name: string;
        };
        AwayBody: {
            account: string;
            first: string;
            last: string;
        };
        AwayDays: {
            first: string;
            last: string;
        };
        AwayEndBody: {
            account: string;
            /** @description day the stretch begins, YYYY-MM-DD */
            first: string;
        };
        Backup: {
            /** Format: date-time */
            at: string;
            /** Format: int64 */
            bytes: number;
            /** Format: int64 */
            cases: number;
            file: string;
            /** @description its file still lies there */
            there: boolean;
            trouble?: string;
        };
        BesideDays: {
            name: string;
            on: string[];
            remedy: string;
            why: string;
        };
        BookHealth: {
            /** Format: int64 */
            causes: number;
            /** Format: int64 */
            findings: number;
            /** Format: int64 */
            hosts: number;
            /**
             * Format: int64
             * @description causes and remedies of the desk's own folder
             */
            own: number;
            /** Format: int64 */
            remedies: number;
            /** @description the same for the same book, with the desk's own sheets */
            version: string;
        };
        Borne: {
            /**
             * Format: double
             * @description a leaf, shoot or whatever the book counts it on
             */
            perUnit?: number;
            /**
             * Format: double
             * @description of leaves that show it
             */
            share?: number;
            /** @description where the figure is from; this house when left out */
            source?: string;
        };
        BringBody: {
            /** @description the file's own name */
            name: string;
        };
        BroughtDocument: {
            key: string;
            name: string;
            /** @description this desk has words of its own there, and they would give way */
            own?: boolean;
            /** @description why it cannot be taken */
            problem?: string;
            /** @description what it holds, a line each; what would change here */
            says: string[];
        };
        Calibrated: {
            /**
             * Format: double
             * @description mean square of certainty less outcome; 0 is perfect, 0.25 is tossing a coin
             */
            brier: number;
            /** @description by how sure they were, least first */
            levels: components["schemas"]["Level"][];
            /** Format: int64 */
            n: number;
            /**
             * Format: double
             * @description how far certainty lies from how often it was right; 0 is best
             */
            reliability: number;
            /**
             * Format: double
             * @description how well certainty parts right from wrong; more is better
             */
            resolution: number;
            /** @description the same in plain words */
            says: string[];
            /**
             * Format: double
             * @description what there is to part: most when half are right
             */
            uncertainty: number;
        };
        Calibration: {
            /** Format: date-time */
            at: string;
            /** @description an objective, the eyepiece or the camera was changed since */
            changed?: boolean;
            factor: components["schemas"]["Factor"];
            microscope: string;
            /** @description as it is marked, like 40x */
            objective: string;
            /** @description said when it should be done anew */
            old?: string;
            readings: components["schemas"]["Reading"][];
            /**
             * @description what was counted
             * @enum {string}
             */
            unit: "division" | "pixel";
        };
        Candidate: {
            against: components["schemas"]["Weight"][];
            cause: string;
            confirmed: boolean;
            for: components["schemas"]["Weight"][];
            group: string;
            kind: string;
            name: string;
            /** Format: double */
            p: number;
            reason: string;
            regulated: boolean;
        };
        CardMapping: {
            /** @description column for each target; a target that is left out or empty is read from none */
            columns?: {
                [key: string]: string;
            };
            /**
             * @description how 3/4/2024 is meant; found out where some day says it, else day first
             * @enum {string}
             */
            days?: "day first" | "month first" | "";
        };
        CaseAdvice: {
            always: string[];
            apart: string[];
            because: string[];
            cause: string;
            combine: string[];
            date: string;
            mustNot: components["schemas"]["MustNot"][];
            /** @description remedy to show beside what is chosen: the mildest of the others that does more than some */
            next?: string;
            offers: components["schemas"]["Offer"][];
            pick: string[];
            refer?: string;
            schools: components["schemas"]["Chosen"][];
            unknown: string[];
            weather: string;
            why: string[];
            /** @description what came of each remedy against it at this desk; none from fewer than five cases */
            worked: components["schemas"]["LocalResult"][];
        };
        CaseList: {
            cases: components["schemas"]["Tag"][];
            /** @description cursor of the next page */
            next?: string;
        };
        Cause: {
            /** @description why it is reported where it is not at home, by regions and abroad_climates; empty when it is not */
            abroad?: string;
            /** @description climates in which it counts as not at home, whatever the region */
            abroadIn?: string[];
            actions: components["schemas"]["Action"][];
            /** @description signs that call a danger or a suspect out by themselves, however unlikely it is else */
            calls?: components["schemas"]["Sign"][];
            carries?: string;
            class: string;
            /** @description climates it lives in outdoors; empty for any */
            climates?: string[];
            /** @description very common, common, occasional, uncommon or rare */
            commonness: string;
            confirms: components["schemas"]["Sign"][];
            /** @description months in which the young of a scale walk, northern year: outdoors a spray on the young has to fall then */
            crawlers?: number[];
            /** @description what it can do to people and what they must do first; empty when it is none to them */
            danger?: string;
            /** @description none, compost, hot compost, bag or as local rules say */
            disposal: string;
            disposalNote?: string;
            drawing: {
                [key: string]: unknown;
            };
            excludes?: components["schemas"]["Sign"][];
            findings: {
                [key: string]: {
                    [key: string]: string;
                };
            };
            from?: string;
            /** @description causes of one treatment group are treated the same way */
            group: string;
            /** @description host id, group:, family:, form: or any → strong, usual, weak, never */
            hosts: {
                [key: string]: string;
            };
            id: string;
            /** @description pest, helper, harmless, disease, disorder or injury */
            kind: string;
            /** @description why a desk cannot settle it; empty when it can */
            labOnly?: string;
            lifeTable?: string;
            lookAlikes: components["schemas"]["LookAlike"][];
            /** @description months met, northern year */
            months?: number[];
            /** @description findings that have to be looked at before it is settled */
            mustLook?: string[];
            mustNot?: components["schemas"]["MustNot"][];
            name: string;
            parts: string[];
            places?: string[];
            /** @description three sentences for the grower */
            plain: string;
            recovers: string;
            /** @description parts of the world it is at home in; empty for any */
            regions?: string[];
            /** @description why it goes to the authority; empty when it does not */
            regulated?: string;
            scientific?: string;
            /** @description none, low, moderate, high */
            seriousness: string;
            sizeMm?: number[];
            source: string;
            spread: string;
            stages?: string[];
            tolerable: components["schemas"]["Tolerable"];
            /** @description of a regulated cause, the words to the grower where it need not be reported; empty when it always must */
            unreported?: string;
            why: string[];
        };
        CauseName: {
            class: string;
            drawing: {
                [key: string]: unknown;
            };
            group: string;
            id: string;
            kind: string;
            labOnly: boolean;
            /** @description a regulated cause the house may say need not be reported here */
            mayTreat: boolean;
            name: string;
            regulated: boolean;
            scientific?: string;
            /** @description from and to, for the bar beside its drawing */
            sizeMm?: number[];
            stages: string[];
            tolerable: string;
            unit: string;
            /** @description the book has a winter spray against it */
            winter?: boolean;
        };
        Change: {
            /** @description false switches the account off and ends its sessions at once */
            active?: boolean;
            name?: string;
            /** @description a new one, for somebody who forgot theirs; ends their sessions */
            password?: string;
            /** @enum {string} */
            role?: "coordinator" | "advisor" | "trainee";
        };
        Character: {
            from?: string;
            /** @description of which animals */
            group: string;
            hint: string;
            id: string;
            looks?: components["schemas"]["Looks"];
            measure?: components["schemas"]["MeasuredRatio"];
            /** @description in plain words */
            name: string;
            /** @description where on the drawing of the group it lies */
            spot: string;
            states?: components["schemas"]["SlideState"][];
            /** @description the field's own word */
            term: string;
        };
        Checked: {
            /** Format: date-time */
            at: string;
            said: string;
            whole: boolean;
        };
        Choice: {
            id: string;
            text: string;
        };
        Chosen: {
            /** @enum {string} */
            by: "default" | "house" | "case";
            /** @description it bears on what is on the ladder here */
            near: boolean;
            option: string;
            school: string;
        };
        CloseInput: {
            /** @description cause id: what it was in the end, where somebody found out */
            confirmed?: string;
            /**
             * @description whether what was advised was done
             * @enum {string}
             */
            followed?: "yes" | "partly" | "no" | "";
            /**
             * @description how that was found
             * @enum {string}
             */
            found?: "specialist" | "laboratory" | "outcome" | "";
            note?: string;
            /** @enum {string} */
            outcome: "better" | "cleared" | "no change" | "lost" | "referred" | "unknown";
        };
        Closing: {
            /** Format: date-time */
            at: string;
            by: string;
            /** @description cause id: what it was in the end */
            confirmed?: string;
            /**
             * @description whether what was advised was done
             * @enum {string}
             */
            followed?: "yes" | "partly" | "no" | "";
            /**
             * @description how that was found
             * @enum {string}
             */
            found?: "specialist" | "laboratory" | "outcome" | "";
            note?: string;
            /** @enum {string} */
            outcome: "better" | "cleared" | "no change" | "lost" | "referred" | "unknown";
        };
        ColonyWeeks: {
            /** @description all stages together when nothing is done */
            alone: number[];
            /** @description for each day and the one behind the last, each group; 1 = all there are today */
            days: number[][];
            /** @description what the picture shows, in a sentence or two */
            says: string[];
            /** @description stages that what is sprayed cannot reach */
            soil?: string[];
            source: string;
            /** @description groups of stages, lowest first */
            stages: string[];
        };
        Column: {
            doc: string;
            name: string;
            unit?: string;
            who?: boolean;
        };
        Companion: {
            remedy: string;
            /** @description low, middle, top or a rate */
            use?: string;
        };
        Condition: {
            /**
             * Format: double
             * @description °C of the hours it is done in
             */
            aboveC?: number;
            /** @description only after a bad last year */
            badYear?: boolean;
            /** Format: double */
            belowC?: number;
            /** @description any of: host id, group:, family:, form: */
            hosts?: string[];
            /** @description what no program can see and somebody has to know first */
            know?: string;
            /** @description months of the northern year */
            months?: number[];
            /** @description none of these */
            notHosts?: string[];
            /** @description any of: dormant, bud swell, in leaf, leaf fall, not in flower */
            phase?: string[];
            /** @description any of: light, moderate, heavy */
            pressure?: string[];
            /** @description against the next attack: it does nothing for this one */
            prevents?: boolean;
            /** @description any of these was seen, or nobody looked */
            stages?: string[];
            /** @description pot, ground, glass or outdoors */
            stand?: string;
        };
        ConvertInput: {
            /** @description like '1 L' */
            amount: string;
            /** @description unit, like 'US fl oz' */
            to: string;
        };
        Converted: {
            /** @description exact value as a fraction, ready as the number of an amount */
            exact: string;
            number: string;
            text: string;
            unit: string;
            /** Format: double */
            value: number;
        };
        Count: {
            /** @description one row a leaf or shoot, one number a tally */
            leaves: number[][];
            /** @description tallies: pests, young, adults, upper, helpers, parasitised, marks */
            of: string[];
            /** @description with or without: every number is 1 or 0 */
            quick?: boolean;
        };
        CountBody: {
            /** Format: int64 */
            cases: number;
        };
        Counted: {
            /** @description last year was bad on this plant */
            badYear?: boolean;
            /** @description several tallies kept apart, unit by unit */
            count?: components["schemas"]["Count"];
            /** @description pests per leaf or shoot, one number each; or count, not both */
            counts?: number[];
            /**
             * @description how heavy it is, by eye
             * @enum {string}
             */
            degree?: "light" | "moderate" | "heavy" | "";
            helpers?: boolean;
            /** @description leaves matched with drawn ones, per cent of area each */
            severity?: number[];
            /**
             * Format: double
             * @description of leaves hit, when nobody counted
             */
            share?: number;
            /**
             * @description what the grower keeps it for
             * @enum {string}
             */
            standard?: "show" | "food" | "hedge" | "";
            /**
             * Format: int64
             * @description of picking or flowering
             */
            weeksLeft?: number;
        };
        Counts: {
            /** Format: int64 */
            ask: number;
            /** Format: int64 */
            bench: number;
            /** Format: int64 */
            ready: number;
            /** Format: int64 */
            waiting: number;
        };
        Couplet: {
            /** Format: double */
            bits: number;
            character: string;
            leaves: components["schemas"]["Leaves"][];
            name: string;
        };
        Course: {
            /** @description classes of causes it is about: armored-scale, mite, fungus ...; all when empty */
            classes: string[];
            /** @description short forms it uses; all when empty */
            kinds: string[];
            /** @description as it is told to who practises; empty: no course is set */
            name: string;
        };
        Crossing: {
            /**
             * Format: int64
             * @description after so many units
             */
            n: number;
            /** @enum {string} */
            says: "wait" | "act";
        };
        DayCount: {
            cause?: string;
            /** Format: int64 */
            n: number;
            name: string;
        };
        DayOfPerson: {
            /**
             * Format: int64
             * @description times asked how it went
             */
            asked: number;
            /** Format: int64 */
            handed: number;
            /**
             * Format: int64
             * @description checked in
             */
            in: number;
            /**
             * Format: int64
             * @description cases looked at
             */
            looked: number;
            name: string;
        };
        DaySummary: {
            after?: string;
            /** @description the day before on which anything was done, or the one before */
            before: string;
            /**
             * Format: int64
             * @description samples brought in
             */
            brought: number;
            /** @description who did what */
            by: components["schemas"]["DayOfPerson"][];
            /** Format: int64 */
            closed: number;
            day: string;
            desk: string;
            /**
             * Format: int64
             * @description pages handed over
             */
            handed: number;
            /**
             * Format: int64
             * @description growers who told how it went
             */
            heard: number;
            /** @description brought in on this day and not handed over yet */
            left: components["schemas"]["Tag"][];
            /** @description the day in words */
            name: string;
            /** @description what the samples of the day were, the most first */
            named: components["schemas"]["DayCount"][];
            /**
             * Format: int64
             * @description asked without an answer
             */
            silent: number;
            /** @description minutes from bag to page, of those brought and handed over on this day */
            waits: components["schemas"]["Waits"];
        };
        Days: {
            /** @description what else was chosen, laid around the sprays */
            beside?: components["schemas"]["BesideDays"][];
            by: string;
            /** Format: int64 */
            gapDays: number;
            /** @description days the weather moved after they were handed over */
            moved?: components["schemas"]["MovedDay"][];
            notes: string[];
            on: string[];
            start: string;
            /**
             * Format: double
             * @description °C where it stands, as somebody read it
             */
            tempC?: number;
            /** @description day of the patch test, YYYY-MM-DD; empty when none is due */
            test?: string;
        };
        DaysInput: {
            /**
             * Format: int64
             * @description treatments in this round; 3 when left out
             */
            count?: number;
            /**
             * Format: int64
             * @description days between treatments; by the rhythm when left out
             */
            gapDays?: number;
            /**
             * @description for the picture only: half the plant missed, the second treatment left out, three degrees warmer
             * @enum {string}
             */
            if?: "half" | "skip" | "warm" | "";
            /** @description the days themselves, set by hand; takes the place of start, count, gap and rhythm */
            on?: string[];
            /** @description answer to the question of how often, by its id; the case's or the house's when left out */
            rhythm?: string;
            /** @description first day, YYYY-MM-DD; today when left out */
            start?: string;
            /**
             * Format: double
             * @description °C where it stands, in a room or under glass; a room's usual 20, or 6 over the air outside, when left out
             */
            tempC?: number;
        };
        DaysPlan: {
            /** @description what else was chosen, laid around the sprays */
            beside?: components["schemas"]["BesideDays"][];
            by: string;
            /** Format: int64 */
            gapDays: number;
            /** @description days the weather moved after they were handed over */
            moved?: components["schemas"]["MovedDay"][];
            notes: string[];
            on: string[];
            start: string;
            /**
             * Format: double
             * @description °C where it stands, as somebody read it
             */
            tempC?: number;
            /** @description day of the patch test, YYYY-MM-DD; empty when none is due */
            test?: string;
            weeks: components["schemas"]["Weeks"];
        };
        Decision: {
            /**
             * Format: double
             * @description chance that the true level is above what is borne here, where it was counted
             */
            above?: number;
            /** @enum {string} */
            act: "leave" | "watch" | "more" | "act" | "spring" | "pull" | "back" | "save" | "refer";
            /** @description what would change it, most telling first */
            change: string[];
            /**
             * Format: double
             * @description what is borne here, after all that moves it
             */
            level?: number;
            /**
             * Format: int64
             * @description of the first young
             */
            month?: number;
            /**
             * Format: double
             * @description times in a week, by the counts before
             */
            multiplies?: number;
            /** @enum {string} */
            pressure: "light" | "moderate" | "heavy";
            /** @description of the sequential test */
            step?: components["schemas"]["SequentialResult"];
            /** @enum {string} */
            sure: "sure" | "likely" | "near";
            /** @description why the count says nothing of this threshold */
            unfit?: string;
            why: string[];
            /** @description in a few words */
            words: string;
        };
        Device: {
            /**
             * Format: double
             * @description 1 is as it should be
             */
            exposure: number;
            /** @description what it is, in a few words */
            kind: string;
            objective: string;
            objectives: string[];
            slide?: string;
            /** @description what lies on the tray, where it has one */
            slides: components["schemas"]["DeviceSlide"][];
        };
        DeviceChange: {
            /** Format: double */
            exposure?: number;
            objective?: string;
            slide?: string;
        };
        DeviceSlide: {
            id: string;
            name: string;
        };
        Done: {
            /** Format: date-time */
            at: string;
            text: string;
            who: string;
        };
        Dose: {
            /** Format: double */
            amount: number;
            exact: string;
            form: string;
            name: string;
            /** Format: double */
            perCent: number;
            spoons?: components["schemas"]["Spooned"];
            text: string;
            unit: string;
        };
        Dosed: {
            dose: string;
            input: components["schemas"]["PlaceInput"];
            /** @description for the advisor, not for the page */
            mind?: string[];
            placed: components["schemas"]["Placed"];
            remedy: string;
        };
        EarlierInput: {
            /** @description like 'soap 9 days ago, copper on Tuesday' */
            text: string;
        };
        Event: {
            disease: string;
            name: string;
            /** Format: double */
            neededHours: number;
            spell: components["schemas"]["Spell"];
        };
        ExportInput: {
            /**
             * @description how exactly a Darwin Core archive says where: the square, the district as a whole, or not at all; the district when left out
             * @enum {string}
             */
            coarse?: "square" | "desk" | "none" | "";
            /** @description which cases; all where nothing is asked for. A bundle always has all */
            find?: components["schemas"]["FindInput"];
            /**
             * @description of a Darwin Core archive
             * @enum {string}
             */
            license?: "CC0-1.0" | "CC-BY-4.0" | "CC-BY-NC-4.0" | "";
            /** @description with names and addresses (coordinator) */
            people?: boolean;
            /**
             * @description a table as CSV, the bundle of everything, or a Darwin Core archive of occurrences
             * @enum {string}
             */
            what: "cases" | "looks" | "treatments" | "bundle" | "darwin-core";
        };
        Factor: {
            /** Format: double */
            high: number;
            /**
             * Format: double
             * @description µm; 95 of 100 such intervals hold the true one
             */
            low: number;
            /**
             * Format: double
             * @description µm
             */
            perDivision: number;
            /**
             * Format: double
             * @description µm, of the factor
             */
            sd: number;
            /**
             * Format: double
             * @description of the repeats, as a share of the factor
             */
            spread: number;
            warnings: string[];
        };
        Fault: {
            field: string;
            mend: string;
            problem: string;
        };
        Favours: {
            /** @description what would help */
            change: string;
            said: string;
            /** @description by the grower, not seen */
            told: boolean;
        };
        Feed: {
            /** Format: date-time */
            at: string;
            /** @description whose; the desk's where nobody is named */
            grower?: string;
            /** @description on this desk's own address */
            path: string;
            /** @description the same by id */
            person?: string;
            token: string;
            who: string;
        };
        FileHealth: {
            /** @description the newest first */
            backups: components["schemas"]["Backup"][];
            book: components["schemas"]["BookHealth"];
            /** Format: int64 */
            bytes: number;
            /** Format: int64 */
            cases: number;
            /** @description where the copies lie */
            folder: string;
            keeping: components["schemas"]["Keeping"];
            /**
             * Format: int64
             * @description lines of all stories
             */
            lines: number;
            /**
             * Format: date-time
             * @description when the file was looked over last: at the start, for a copy, or when asked
             */
            looked: string;
            /** Format: date-time */
            next?: string;
            /**
             * Format: int64
             * @description growers
             */
            people: number;
            /** Format: int64 */
            photos: number;
            /**
             * Format: date-time
             * @description since when this program runs
             */
            running: string;
            /**
             * Format: int64
             * @description of the keeping, for changing it
             */
            version: number;
        };
        FillStep: {
            adds: string;
            form: string;
            /** Format: double */
            levelMl: number;
            text: string;
        };
        FindInput: {
            cause?: string;
            degree?: string;
            from?: string;
            host?: string;
            import?: string;
            keeper?: string;
            /** Format: int64 */
            most?: number;
            outcome?: string;
            photos?: string;
            place?: string;
            remedy?: string;
            /** Format: int64 */
            skip?: number;
            sort?: string;
            square?: string;
            stage?: string;
            to?: string;
            was?: string;
            words?: string;
        };
        Finding: {
            cluster?: string;
            destructive?: boolean;
            /** @description a first impression: asked after other looks, it is half hindsight and suggested less */
            fresh?: boolean;
            from?: string;
            hint?: string;
            /** @description asked, eye, lens, test, scope, meter or lab */
            how: string;
            id: string;
            /** @description several of its states can stand together */
            many?: boolean;
            /** Format: double */
            minutes: number;
            /**
             * Format: double
             * @description how often it is misread even when sure, 0 to 1; the usual rate of its way of looking when left out
             */
            misread?: number;
            name: string;
            /** @description plant, shoot, leaf, flower, fruit, stem, root, pot or asked */
            part: string;
            short: string;
            /** @description the stage of a pest that is seen when it is there: egg, crawler, young ... */
            stage?: string;
            states: components["schemas"]["State"][];
            /** @description the group of lines it stands in on the Look step */
            topic: string;
            /** @description upper, underside, veins, margin, axil, new growth, old growth, stalk end, blossom end… */
            where?: string;
            /** @description other words a grower has for it */
            words?: string[];
        };
        FollowUp: {
            /** Format: date-time */
            at: string;
            /** @description the name they had then */
            by: string;
            count?: components["schemas"]["Recount"];
            /** @description the grower told it themselves; else somebody of the desk wrote it down */
            fromGrower?: boolean;
            next?: components["schemas"]["NextMove"];
            note?: string;
            result?: components["schemas"]["Result"];
            silent?: boolean;
            /** @description told on the grower's own page, and nobody at the desk has answered yet */
            unread?: boolean;
            /** @description how it went in the grower's own word: gone, better, same or worse */
            word?: string;
        };
        FollowUpInput: {
            count?: components["schemas"]["Recount"];
            note?: string;
            /** @description nobody answered */
            silent?: boolean;
            /**
             * @description how it went in the grower's own word; a count says more
             * @enum {string}
             */
            word?: "gone" | "better" | "same" | "worse" | "";
        };
        ForgetBody: {
            /** @description parts of the name that go as well, of those the mentions list */
            also?: string[];
            /** @description by id */
            person: string;
        };
        ForgottenAs: {
            /**
             * Format: int64
             * @description that were theirs; they stay, without them
             */
            cases: number;
            /**
             * Format: int64
             * @description copies of the desk's file in which they still are
             */
            copies: number;
            /**
             * Format: int64
             * @description finished files of records that were taken away, since they stood in them
             */
            exports: number;
            /** @description the day the last of those copies goes by itself, YYYY-MM-DD; empty where none does */
            gone?: string;
        };
        FoundCase: {
            askOn?: string;
            cause?: string;
            causeName?: string;
            /** Format: double */
            certainty: number;
            /** Format: date-time */
            createdAt: string;
            degree?: string;
            grower: string;
            id: string;
            /** @description account whose case it is */
            keeper?: string;
            line: string;
            number: string;
            outcome?: string;
            /** Format: int64 */
            photos: number;
            place?: string;
            plant: string;
            square?: string;
            stage: string;
            /** Format: int64 */
            urgency: number;
            /** Format: int64 */
            version: number;
        };
        FoundCases: {
            cases: components["schemas"]["FoundCase"][];
            /**
             * Format: int64
             * @description how many there are in all
             */
            n: number;
        };
        Gap: {
            /** Format: date-time */
            from: string;
            /** Format: int64 */
            hours: number;
            /** Format: date-time */
            to: string;
        };
        GiveAllBody: {
            /** @description account whose cases they are; empty for nobody's */
            from: string;
            /** @description account they are given to */
            to: string;
        };
        GiveBody: {
            /** @description account, by id */
            to: string;
        };
        Grower: {
            /** Format: int64 */
            cases: number;
            contact?: string;
            /** @description what they brought, the newest first, at most five */
            earlier: components["schemas"]["Tag"][];
            id: string;
            name: string;
        };
        GrowerFile: {
            /** @description each case's document, with its number */
            cases: unknown[];
            /** @description what is kept, why, and how it is taken out */
            kept: string;
            messages: components["schemas"]["Sent"][];
            name: string;
        };
        Handover: {
            askOn: string;
            /** Format: date-time */
            at: string;
            by: string;
            token: string;
            /** @description cases of the same grower handed over together, this one among them */
            with?: string[];
        };
        Hazards: {
            /** Format: int64 */
            bees: number;
            /** Format: int64 */
            helpers: number;
            /** Format: int64 */
            people: number;
            /** Format: int64 */
            pets: number;
            /** Format: int64 */
            plant: number;
            /** Format: int64 */
            water: number;
        };
        Host: {
            aliases?: string[];
            beeVisited: boolean;
            dormant: boolean;
            eaten?: string;
            family: string;
            /** @description annual, perennial, woody, bulb, houseplant, succulent, conifer, palm, fern or orchid */
            form: string;
            from?: string;
            group?: string;
            id: string;
            leaf: string;
            name: string;
            scientific: string;
            sensitive?: {
                [key: string]: string;
            };
            source?: string;
            /** @description the first frost ends it: out of doors it is not met in a winter with frost */
            tender?: boolean;
        };
        Hour: {
            /** Format: date-time */
            at: string;
            /** @description who measured or foretold it; empty for the stand-in */
            from?: string;
            /**
             * Format: double
             * @description strongest gust; 0 when not measured
             */
            gustMs?: number;
            /** Format: double */
            humidity: number;
            /** Format: double */
            rainMm: number;
            /** Format: double */
            tempC: number;
            /**
             * Format: double
             * @description where the wind comes from, degrees, 360 is north; 0 when not known
             */
            windFrom?: number;
            /** Format: double */
            windMs: number;
        };
        House: {
            borne?: {
                [key: string]: components["schemas"]["Borne"];
            };
            labels?: {
                [key: string]: components["schemas"]["Label"];
            };
            law?: {
                [key: string]: components["schemas"]["Law"];
            };
            local?: components["schemas"]["Local"];
            policy?: {
                [key: string]: components["schemas"]["Policy"];
            };
            schools?: {
                [key: string]: string;
            };
        };
        Identity: {
            /** @description whom to call about a regulated suspect */
            authority: string;
            /** @description address of the message gateway or the mail server; empty for none */
            gateway?: string;
            /**
             * Format: double
             * @description how wide one of the nine by nine squares of the district is, km; 1 when left out
             */
            gridKm?: number;
            /** @description where undetermined samples are sent, and how packed */
            lab: string;
            /** Format: double */
            lat: number;
            /** Format: double */
            lon: number;
            name: string;
            place: string;
            /** @description address at which growers reach this program, for links in messages */
            public?: string;
            /** @description how a grower reaches the desk: telephone, hours; it stands on every page */
            reach?: string;
            /** @description address of the microscope camera's bridge; empty for none */
            scopeCamera?: string;
            /**
             * @description kitchen spoons offered first
             * @enum {string}
             */
            units: "metric" | "us" | "imperial" | "au";
            /** @description address of the weather station or its bridge; empty for the simulated one */
            weatherStation?: string;
            /** @description time zone, like Europe/London */
            zone: string;
        };
        ImportBatch: {
            /** Format: date-time */
            at: string;
            /** Format: int64 */
            cases: number;
            id: string;
            kind: string;
            name: string;
            /** @description the program stopped while it came in; what had come was taken out again */
            torn?: boolean;
            undone?: boolean;
            who: string;
        };
        ImportInput: {
            /** @description column for each target; a target that is left out or empty is read from none */
            columns?: {
                [key: string]: string;
            };
            /**
             * @description how 3/4/2024 is meant; found out where some day says it, else day first
             * @enum {string}
             */
            days?: "day first" | "month first" | "";
            /** @description what the herbarium does not know by its name is kept as a note, undetermined; else such rows are refused */
            loose?: boolean;
            /** @description the file's own name */
            name?: string;
            /** @description house documents of a bundle to be taken over, by key; none unless it is said */
            take?: string[];
        };
        ImportReading: {
            /** Format: int64 */
            cases?: number;
            columns: string[];
            /** @description whose bundle it is */
            desk?: string;
            doubts: string[];
            encoding?: string;
            /** @description the first few as they are understood */
            first: components["schemas"]["OldCard"][];
            /** Format: int64 */
            good: number;
            /** @enum {string} */
            kind: "csv" | "bundle" | "herbarium";
            /** Format: date-time */
            made?: string;
            /** Format: int64 */
            photos?: number;
            refusals: components["schemas"]["RefusedRow"][];
            /** Format: int64 */
            refused: number;
            /** Format: int64 */
            rows: number;
            /** @description house documents of a bundle that say something else than ours: each is taken only when it is ticked */
            rules?: components["schemas"]["BroughtDocument"][];
            /** @description documents of a bundle that never come along: devices, addresses, people */
            stays?: string[];
            targets: components["schemas"]["Target"][];
            /** @description how it is read: as was said, the rest guessed */
            used: components["schemas"]["CardMapping"];
        };
        Imported: {
            /** @description by which it can be undone as a whole */
            batch?: string;
            /** @description here already and otherwise: ours stay */
            conflicts?: string[];
            /**
             * Format: int64
             * @description cases that are new here
             */
            in: number;
            /** @description the first hundred of them, each with the mend */
            refusals?: components["schemas"]["RefusedRow"][];
            /**
             * Format: int64
             * @description rows that could not be taken
             */
            refused?: number;
            /** @description whose number was taken here, with their new one */
            renamed?: string[];
            /**
             * Format: int64
             * @description here already, as they are
             */
            same?: number;
            /** @description house documents that were taken over */
            taken?: string[];
        };
        Intake: {
            /** @description what was brought: a leaf in a bag, the whole pot */
            brought?: string;
            cat?: boolean;
            children?: boolean;
            /** @description telephone or mail, for asking how it went */
            contact?: string;
            /**
             * Format: int64
             * @description days to the next picking, from the day it was brought in
             */
            daysToHarvest?: number;
            dog?: boolean;
            edible?: boolean;
            /** @description family of an unknown plant */
            family?: string;
            /**
             * @description form of an unknown plant
             * @enum {string}
             */
            form?: "annual" | "perennial" | "woody" | "bulb" | "houseplant" | "succulent" | "conifer" | "palm" | "fern" | "orchid" | "";
            /** @description who brought it */
            grower: string;
            /** @description host id of the herbarium; empty for an unknown plant */
            host?: string;
            inBloom?: boolean;
            /** @description nothing of it is eaten, though the book says so of the plant */
            notEaten?: boolean;
            /** @description which grower of this desk it is, by id; found by name and reach where it is left out */
            person?: string;
            /** @enum {string} */
            place: "indoors" | "greenhouse" | "balcony" | "garden" | "orchard";
            /** @description the plant in plain words */
            plant: string;
            pond?: boolean;
            /** @description square of the district's grid it grows in, A1 to I9; the desk stands in E5 */
            square?: string;
            /** @description what the grower saw and when it began */
            story: string;
            treated?: components["schemas"]["Treated"][];
            /**
             * Format: int64
             * @description 0 can wait … 3 now
             */
            urgency?: number;
        };
        Invite: {
            /** @description on this desk's own address; good once */
            path: string;
            person: components["schemas"]["Person"];
            /** Format: date-time */
            until: string;
        };
        InvitedAs: {
            desk: string;
            login: string;
            name: string;
        };
        Job: {
            /** Format: date-time */
            begun: string;
            /** Format: int64 */
            done: number;
            /** @description a file lies ready to be fetched */
            file?: boolean;
            id: string;
            /** @description what was brought in */
            import?: components["schemas"]["Imported"];
            /** @enum {string} */
            kind: "export" | "import";
            name: string;
            /** @description what came of it, or why it failed */
            said?: string;
            /** @enum {string} */
            state: "running" | "done" | "failed" | "cancelled";
            /**
             * Format: int64
             * @description 0 while it is not known
             */
            total: number;
        };
        JoinBody: {
            password: string;
        };
        JointHandout: {
            /** @description what is bought for all of them */
            buy: string[];
            date: string;
            /** @description all their days as one list */
            days: components["schemas"]["TogetherDay"][];
            desk: string;
            grower: string;
            /** @description open ones that may not, each with its reason */
            notYet: components["schemas"]["NotYet"][];
            /** @description other cases of the same grower that may be handed over now */
            ready: components["schemas"]["Tag"][];
            /** @description pages that were handed over together, this one first */
            sheets: components["schemas"]["Sheet"][];
        };
        Judged: {
            air: components["schemas"]["Hour"];
            /** Format: date-time */
            at: string;
            /**
             * Format: double
             * @description hours until a sprayed leaf is dry
             */
            driesHours?: number;
            /** @enum {string} */
            says: "good" | "poor" | "no";
            /** @description on which side of the plant to stand: the wind's */
            stand?: string;
            /**
             * Format: double
             * @description degrees
             */
            sunHeight: number;
            /** @description every reason against it, worst first */
            why: string[];
        };
        Keeping: {
            /**
             * @description how often; a week begins on Monday
             * @enum {string}
             */
            every: "never" | "day" | "week";
            /**
             * Format: int64
             * @description of the desk's clock
             */
            hour: number;
            /**
             * Format: int64
             * @description how many are kept; older ones are taken away when a newer one is whole
             */
            keep: number;
        };
        KeptByThem: {
            askOn?: string;
            cause?: string;
            causeName?: string;
            /** Format: double */
            certainty: number;
            /** Format: date-time */
            createdAt: string;
            degree?: string;
            grower: string;
            id: string;
            /** @description account whose case it is */
            keeper?: string;
            line: string;
            number: string;
            place?: string;
            plant: string;
            stage: string;
            /** Format: int64 */
            urgency: number;
            /** Format: int64 */
            version: number;
            what: string;
        };
        KeptDose: {
            by: string;
            dose: string;
            input: components["schemas"]["PlaceInput"];
            /** @description for the advisor, not for the page */
            mind?: string[];
            placed: components["schemas"]["Placed"];
            remedy: string;
        };
        KeptMix: {
            bothLabels?: boolean;
            by: string;
            /** @description for the advisor, not for the page */
            mind?: string[];
            plan: components["schemas"]["Plan"];
            /** @description the label's range in words */
            range?: string;
            rate: string;
            remedy: string;
            spoons?: string;
            sprayer: string;
            stock?: string;
            /** Format: int64 */
            treatments?: number;
            use: string;
            volume: string;
            with?: components["schemas"]["Companion"][];
        };
        KeyAnswer: {
            /** @description all of the group, likeliest first */
            fits: components["schemas"]["SpeciesFit"][];
            looks: components["schemas"]["KeyLook"][];
            next?: components["schemas"]["Couplet"];
            notes: string[];
            says: string;
            /** @description it would be the same name, had any one answer been wrong */
            sure: boolean;
        };
        KeyInput: {
            /** @description whose plant and looks are held beside it */
            case?: string;
            group: string;
            /** @description a plant by id, where there is no case */
            host?: string;
            seen: components["schemas"]["Seen"][];
        };
        KeyLook: {
            certainty: string;
            finding: string;
            measured?: string;
            name: string;
            said: string;
            state: string;
        };
        KindDone: {
            kind: string;
            /** Format: int64 */
            n: number;
            name: string;
            /** Format: int64 */
            right: number;
        };
        Label: {
            /** @description crops this bottle names, by host id, group or family; empty: not written down */
            crops?: string[];
            high?: string;
            low?: string;
            /** Format: int64 */
            mostPerSeason?: number;
            /** Format: int64 */
            repeatMinDays?: number;
            /** @description of a concentrate, how strong the bottle is, like '80 g per L' or '0.5 %' */
            strength?: string;
            /** Format: int64 */
            waitDays?: number;
        };
        Law: {
            reference?: string;
            /** @enum {string} */
            status: "allowed" | "restricted" | "licensed" | "banned";
        };
        LeafShare: {
            asked: components["schemas"]["ShareRequest"];
            found: components["schemas"]["ShareFound"];
        };
        Learner: {
            /**
             * Format: int64
             * @description answers on what the course is about
             */
            course: number;
            /**
             * Format: int64
             * @description of the last four weeks
             */
            days: number;
            /** Format: int64 */
            due: number;
            id: string;
            /**
             * Format: int64
             * @description answers given
             */
            n: number;
            name: string;
            /** Format: int64 */
            right: number;
            role: string;
            /** @description of their certainty */
            says: string[];
        };
        Leaves: {
            /**
             * Format: int64
             * @description how many beside those
             */
            more: number;
            name: string;
            /** Format: double */
            p: number;
            /** @description names, likeliest first, at most six */
            species: string[];
            /** @description a state, or above or below the line */
            state: string;
        };
        LeftOver: {
            /** @description ids of causes that would show it often on this plant, likeliest first */
            by: string[];
            finding: string;
            /** @description the same by name, as inside a sentence */
            names: string[];
            said: string;
            short: string;
            state: string;
        };
        Level: {
            /** Format: int64 */
            n: number;
            /** Format: int64 */
            right: number;
            /** Format: double */
            sure: number;
        };
        Light: {
            /**
             * Format: date-time
             * @description civil dawn
             */
            dawn: string;
            /**
             * Format: date-time
             * @description civil dusk
             */
            dusk: string;
            /**
             * @description the sun does not set, or does not rise
             * @enum {string}
             */
            polar?: "day" | "night" | "";
            /** Format: date-time */
            rise: string;
            /** Format: date-time */
            set: string;
        };
        Line: {
            finding: string;
            state?: string;
            /** @description all that was said is in this answer and in no other: Enter may write it */
            sure?: boolean;
        };
        Lines: {
            lines: components["schemas"]["Line"][];
        };
        Load: {
            /** @description days they are not there, from today on */
            away: components["schemas"]["AwayDays"][];
            /** @description not there today */
            awayToday?: boolean;
            /**
             * Format: int64
             * @description on the bench, with who reviews, or ready
             */
            bench: number;
            /** @description their open cases, the oldest first, at most forty */
            cases: components["schemas"]["KeptByThem"][];
            /**
             * Format: int64
             * @description of those, to be asked today or before
             */
            due: number;
            id: string;
            name: string;
            /**
             * Format: int64
             * @description out at growers
             */
            out: number;
            role?: string;
        };
        Local: {
            /** @description cause id → what holds of it here */
            causes?: {
                [key: string]: components["schemas"]["LocalWord"];
            };
            /**
             * @description cold: hard winters; mild: wet mild winters; the rest as they say; empty when not said
             * @enum {string}
             */
            climate?: "cold" | "mild" | "dry summer" | "hot and dry" | "warm and wet" | "tropical" | "";
            /**
             * @description part of the world; empty when not said
             * @enum {string}
             */
            region?: "Europe" | "North America" | "South America" | "Africa" | "Asia" | "Australia and New Zealand" | "";
        };
        LocalResult: {
            /** Format: int64 */
            better: number;
            /** Format: double */
            high: number;
            /**
             * Format: double
             * @description of the share that got better, 95 %, Wilson
             */
            low: number;
            /**
             * Format: int64
             * @description closed cases whose outcome is known
             */
            n: number;
            remedy: string;
        };
        LocalWord: {
            /**
             * @description how often it is met here
             * @enum {string}
             */
            here?: "common" | "seldom" | "not here" | "";
            /**
             * @description whether it has to be reported here
             * @enum {string}
             */
            report?: "yes" | "no" | "";
        };
        Logged: {
            /** Format: date-time */
            at: string;
            what: string;
            why?: string;
        };
        Look: {
            /** @enum {string} */
            certainty?: "sure" | "think" | "guess" | "";
            finding: string;
            /** @enum {string} */
            instrument?: "eye" | "lens" | "scope" | "told" | "";
            /** @description the state was looked for and is not there; only where several states can stand together */
            not?: boolean;
            state: string;
        };
        LookAlike: {
            cause: string;
            split: string;
        };
        LookBody: {
            /** @enum {string} */
            certainty?: "sure" | "think" | "guess" | "";
            /**
             * @description what was used; told: the grower says so and nobody looked
             * @enum {string}
             */
            instrument?: "eye" | "lens" | "scope" | "told" | "";
            /** @description how it was measured, in words */
            measured?: string;
            /** @description looked for and not there; where several states can stand together */
            not?: boolean;
            /** @description takes this one state back; where several states can stand together */
            off?: boolean;
            /** @description where on the drawing it was seen */
            spot?: components["schemas"]["Spot"];
            /** @description state id; empty takes the look back */
            state: string;
        };
        LookForBody: {
            /** @description id */
            finding: string;
        };
        LookRecord: {
            /** @description why it is no part of this: an old scar, another matter; it is not weighed then */
            aside?: string;
            /** Format: date-time */
            at: string;
            by: string;
            /** @enum {string} */
            certainty?: "sure" | "think" | "guess" | "";
            finding: string;
            /** @enum {string} */
            instrument?: "eye" | "lens" | "scope" | "told" | "";
            /** @description how it was measured, where it was */
            measured?: string;
            /** @description the state was looked for and is not there; only where several states can stand together */
            not?: boolean;
            spot?: components["schemas"]["Spot"];
            state: string;
        };
        LookTaken: {
            /** @description what an expert would have asked here */
            better?: string;
            /** Format: double */
            betterBits?: number;
            /**
             * Format: double
             * @description what it told of the truth: log2 of how much likelier the right plan is after it
             */
            bits: number;
            destructive?: boolean;
            finding: string;
            /** @description what leads after it */
            leads: string;
            /** @description the same, as it is recorded: for drawing */
            looks: components["schemas"]["Look"][];
            /** Format: double */
            minutes: number;
            name: string;
            /** @description it told nothing, or used up what a gentler look would have told */
            needless?: boolean;
            /**
             * Format: double
             * @description how likely the right plan is after it
             */
            p: number;
            saw: string[];
        };
        Looks: {
            finding: string;
            states: {
                [key: string]: string;
            };
        };
        Mapping: {
            /** @description quantity → column: at, clock, temp, humidity, dew, wind, gust, side (where the wind comes from), rain; - for none */
            columns?: {
                [key: string]: string;
            };
            /**
             * @description of a date like 03/04/2026: day or month first
             * @enum {string}
             */
            order?: "dmy" | "mdy" | "";
            /** @description quantity → unit: °C °F K, % share, m/s km/h mph kn, mm in cm */
            units?: {
                [key: string]: string;
            };
            /** @description time zone of times that carry none; the desk's when left out */
            zone?: string;
        };
        Mark: {
            high: string;
            low: string;
            name: string;
            rate: string;
            /** Format: double */
            share: number;
        };
        MarkedAnswer: {
            /**
             * Format: double
             * @description after how many days it is as likely forgotten as known
             */
            againDays: number;
            /** @description the right one */
            option: string;
            right: boolean;
            why: string;
        };
        Marks: {
            asked?: components["schemas"]["PhotoRequest"];
            /** Format: date-time */
            at: string;
            by: string;
            found?: components["schemas"]["PhotoScale"];
            leaf?: components["schemas"]["LeafShare"];
        };
        MarksInput: {
            /** @description a leaf and how its sick part was told */
            leaf?: components["schemas"]["ShareRequest"];
            /** @description a known length and what was measured by it */
            marks?: components["schemas"]["PhotoRequest"];
        };
        Match: {
            /** @description strong, usual or weak on the plant asked about */
            affinity?: string;
            cause: string;
            /**
             * Format: double
             * @description how well it answers: the product of its own frequencies, 0 to 1
             */
            weight: number;
        };
        MeanFromShare: {
            /**
             * Format: double
             * @description 0 when all were hit: then there is no upper end
             */
            high: number;
            /**
             * Format: double
             * @description 95 in 100, of the sample and of the line
             */
            low: number;
            /**
             * Format: double
             * @description pests a unit; 0 when none was hit
             */
            mean: number;
            /** Format: double */
            share: number;
            text: string;
        };
        Measured: {
            /** Format: double */
            sd: number;
            text: string;
            /**
             * Format: double
             * @description mm, or mm² of an area
             */
            value: number;
        };
        MeasuredRatio: {
            a: string;
            /** @description empty where a length in µm is measured and no ratio */
            b: string;
            /** Format: double */
            line: number;
        };
        Mention: {
            case: string;
            number: string;
            /** @description the words around it */
            text: string;
            /** @description the part of the name */
            word: string;
        };
        MergeBody: {
            /** @description the person that goes, by id */
            from: string;
            /** @description the one that stays, by id */
            into: string;
        };
        MixBody: {
            /** @description the advisor read on every label that they may be mixed */
            bothLabels?: boolean;
            /** @description id of the label range; left out for the first */
            rate?: string;
            /** @description remedy id; left out when only one chosen remedy is mixed */
            remedy?: string;
            /** @enum {string} */
            spoons?: "metric" | "us" | "imperial" | "au" | "";
            /** @description what one filling holds */
            sprayer?: string;
            /** @description how strong the bottle is: '70 %' of what is thinned to a strength, '80 g per L' or '0.5 %' of a concentrate */
            stock?: string;
            /**
             * Format: int64
             * @description for how much to buy; once when left out
             */
            treatments?: number;
            /** @description low, middle, top, or a rate like '15 mL per L' */
            use?: string;
            /** @description finished mix wanted, like '2 L' */
            volume: string;
            /** @description what goes into the same tank */
            with?: components["schemas"]["Companion"][];
            /** @description keep the proposed days of this round as well */
            withDays?: boolean;
        };
        MixInput: {
            /** @description the advisor read on every label that they may be mixed */
            bothLabels?: boolean;
            /** @description id of the label range; left out for the first */
            rate?: string;
            /** @description remedy id; left out when only one chosen remedy is mixed */
            remedy?: string;
            /** @enum {string} */
            spoons?: "metric" | "us" | "imperial" | "au" | "";
            /** @description what one filling holds */
            sprayer?: string;
            /** @description how strong the bottle is: '70 %' of what is thinned to a strength, '80 g per L' or '0.5 %' of a concentrate */
            stock?: string;
            /**
             * Format: int64
             * @description for how much to buy; once when left out
             */
            treatments?: number;
            /** @description low, middle, top, or a rate like '15 mL per L' */
            use?: string;
            /** @description finished mix wanted, like '2 L' */
            volume: string;
            /** @description what goes into the same tank */
            with?: components["schemas"]["Companion"][];
        };
        Mixed: {
            bothLabels?: boolean;
            /** @description for the advisor, not for the page */
            mind?: string[];
            plan: components["schemas"]["Plan"];
            /** @description the label's range in words */
            range?: string;
            rate: string;
            remedy: string;
            spoons?: string;
            sprayer: string;
            stock?: string;
            /** Format: int64 */
            treatments?: number;
            use: string;
            volume: string;
            with?: components["schemas"]["Companion"][];
        };
        MovedDay: {
            /** Format: date-time */
            at: string;
            from: string;
            to: string;
            why: string;
        };
        MustLook: {
            finding?: string;
            name: string;
            why: string;
        };
        MustNot: {
            /** @description nothing or little; harm where it says neither */
            does?: string;
            remedy?: string;
            what: string;
            why: string;
        };
        NamedAdvice: {
            /** Format: int64 */
            better: number;
            cause: string;
            causeName: string;
            /** Format: double */
            high: number;
            /**
             * Format: double
             * @description of the share that got better, 95 %, Wilson
             */
            low: number;
            /**
             * Format: int64
             * @description closed cases whose outcome is known
             */
            n: number;
            remedy: string;
            remedyName: string;
        };
        NamedArrival: {
            cause: string;
            /** @description the first this year, YYYY-MM-DD; empty while none came */
            day?: string;
            /**
             * Format: double
             * @description degree-days above its lower threshold from the start of the year to that day
             */
            degreeDays?: number;
            /**
             * Format: int64
             * @description days before the usual one; below 0 after it
             */
            early: number;
            /**
             * Format: double
             * @description the threshold, °C
             */
            lowerC?: number;
            name: string;
            /** @description the mean first day of earlier years, set into this one */
            usual?: string;
            /**
             * Format: double
             * @description the mean of earlier years
             */
            usualDegreeDays?: number;
            /**
             * Format: int64
             * @description days by which earlier years lay apart from it, one standard deviation
             */
            within?: number;
            /** Format: double */
            withinDegreeDays?: number;
            /**
             * Format: int64
             * @description earlier years it came in
             */
            years: number;
        };
        NamedBand: {
            /** @description cause; other for the rest, undetermined where nobody could tell */
            key: string;
            kind?: string;
            /** Format: int64 */
            n: number;
            name: string;
            /** @description samples in each week, from the first */
            weeks: number[];
        };
        NamedMistake: {
            became?: string;
            becameName: string;
            /** Format: int64 */
            n: number;
            was: string;
            wasName: string;
        };
        NamedSurge: {
            cause: string;
            /**
             * Format: double
             * @description how often so many or more come by chance alone
             */
            chance: number;
            /**
             * Format: int64
             * @description samples in those weeks
             */
            n: number;
            name: string;
            /**
             * Format: double
             * @description samples expected in them, by the weeks before and by earlier years
             */
            usual: number;
            /**
             * Format: int64
             * @description over how many weeks up to today it is counted: one or two
             */
            weeks: number;
        };
        Need: {
            lines: string[];
            /** Format: double */
            ml: number;
            rule: string;
            /** @description rounded up to what a measuring jug shows; ready for the volume of a mix */
            text: string;
        };
        NeedInput: {
            plants: components["schemas"]["PlantSize"][];
        };
        Needs: {
            /**
             * @description what it may do on open flowers
             * @enum {string}
             */
            bees?: "fine" | "evening" | "never" | "";
            /** @description only while the sun is up: winter sprays, that have to reach every twig */
            daylight?: boolean;
            /**
             * Format: double
             * @description it has to lie this long before rain; its drying time when left out
             */
            dryHours?: number;
            /** @description no frost in the night after: dormant sprays */
            frost?: boolean;
            inBloom?: boolean;
            /** @description it burns in the sun */
            noSun?: boolean;
            /** Format: double */
            tempMaxC?: number;
            /**
             * Format: double
             * @description of the label or the book
             */
            tempMinC?: number;
            /** @description it is put into the soil, or washes off: rain and drying do not matter */
            wetIsFine?: boolean;
        };
        NewCalibration: {
            /** @description without readings: it stays, and says that it no longer holds, until it is calibrated anew */
            changed?: boolean;
            microscope: string;
            objective: string;
            /** @description none drops the calibration */
            readings: components["schemas"]["Reading"][];
            /**
             * @description division when left out
             * @enum {string}
             */
            unit?: "division" | "pixel" | "";
        };
        NewInvite: {
            login: string;
            name: string;
            /** @enum {string} */
            role: "coordinator" | "advisor" | "trainee";
        };
        NewPerson: {
            login: string;
            name: string;
            password: string;
            /** @enum {string} */
            role: "coordinator" | "advisor" | "trainee";
        };
        NextLook: {
            /** Format: double */
            bits: number;
            destructive: boolean;
            finding: string;
            /** Format: double */
            lossDrop: number;
            /** Format: double */
            minutes: number;
            name: string;
            /** @description of the look to take first: what each answer makes of the list */
            outcomes?: components["schemas"]["Outcome"][];
            /** Format: double */
            score: number;
        };
        NextMove: {
            move: string;
            why: string;
        };
        None: Record<string, never>;
        NoneBody: {
            /** @description this grower wants no messages */
            none: boolean;
        };
        NotYet: {
            askOn?: string;
            cause?: string;
            causeName?: string;
            /** Format: double */
            certainty: number;
            /** Format: date-time */
            createdAt: string;
            degree?: string;
            grower: string;
            id: string;
            /** @description account whose case it is */
            keeper?: string;
            line: string;
            number: string;
            place?: string;
            plant: string;
            stage: string;
            /** Format: int64 */
            urgency: number;
            /** Format: int64 */
            version: number;
            why: string;
        };
        Notice: {
            bold: string;
            case?: string;
            kind: string;
            text: string;
        };
        Offer: {
            cautions: string[];
            /** Format: int64 */
            hazard: number;
            /** @description the manner for this cause */
            how?: string;
            kills: components["schemas"]["StageKill"][];
            kind: string;
            ladder: string;
            meant: boolean;
            name: string;
            /** @description of a no, its kind: not listed, does little, does nothing, harms, not allowed, not here */
            not?: string;
            /** @description may be chosen today: go or care, and leaving it or pulling it, which are the grower's right */
            open: boolean;
            /** @description it keeps trouble from coming and does nothing for what is there */
            prevents?: boolean;
            reasons: components["schemas"]["Reason"][];
            remedy: string;
            /** Format: int64 */
            rung: number;
            status: string;
            until?: string;
            /** @description the cause's own condition, in words */
            when?: string;
            worth?: string;
        };
        OfferBody: {
            offer: boolean;
        };
        OldCard: {
            brought: string;
            /** @description what it was called, where the herbarium does not know it */
            called?: string;
            cause?: string;
            contact?: string;
            grower?: string;
            host?: string;
            note?: string;
            number?: string;
            outcome: string;
            place: string;
            plant: string;
            remedy?: string;
            square?: string;
            story?: string;
        };
        OldCase: {
            /** @description practised before by who asks */
            done?: boolean;
            id: string;
            /**
             * Format: int64
             * @description lines that were looked at then
             */
            looks: number;
            place: string;
            plant: string;
        };
        "Open-feedRequest": {
            /** @description which grower, by id; the desk's calendar when left out */
            person?: string;
        };
        OpenSession: {
            /** Format: date-time */
            begun: string;
            /** @description the one that asks */
            here?: boolean;
            id: string;
            /**
             * Format: date-time
             * @description when it was last used, to a quarter of an hour
             */
            last: string;
            /** Format: date-time */
            until: string;
        };
        Option: {
            /** @description what the program does under it, in one plain sentence */
            does: string;
            id: string;
            name: string;
        };
        Outcome: {
            name: string;
            /** Format: double */
            p: number;
            state: string;
            text: string;
            top: string;
            /** Format: double */
            topP: number;
        };
        Page: {
            /** @description days of the table that the grower ticked off */
            done?: string[];
            /** @description the desk took the address back */
            ended?: boolean;
            sheet: components["schemas"]["Sheet"];
            token: string;
            /** @description last day on which it is shown, YYYY-MM-DD */
            until?: string;
        };
        Pair: {
            causes: string[];
            /** Format: double */
            decibans: number;
            names: string[];
        };
        Past: {
            /**
             * Format: int64
             * @description ago, 1 or more
             */
            days: number;
            /**
             * Format: double
             * @description pests a unit
             */
            mean?: number;
            /**
             * Format: double
             * @description of units hit, where only that is known
             */
            share?: number;
        };
        Person: {
            id: string;
            login: string;
            name: string;
            /** @enum {string} */
            role: "coordinator" | "advisor" | "trainee";
        };
        Photo: {
            /** Format: date-time */
            at: string;
            by: string;
            /** Format: int64 */
            height: number;
            id: string;
            /** @description what was measured on it */
            marks?: components["schemas"]["Marks"];
            name: string;
            /** Format: int64 */
            width: number;
        };
        PhotoRequest: {
            /** @description two clicks on a second known length, square to the first */
            across?: components["schemas"]["Point"][];
            /** Format: double */
            acrossMm?: number;
            /** @description outlines, three points or more, the last joined to the first */
            areas?: components["schemas"]["Point"][][];
            /**
             * Format: double
             * @description how far a click is off, in pixels; 1.5 when left out
             */
            clickSd?: number;
            /** @description two clicks on what is known */
            known: components["schemas"]["Point"][];
            /** @description lengths, two points each */
            lines?: components["schemas"]["Point"][][];
            /**
             * Format: double
             * @description between them
             */
            millimetres: number;
        };
        PhotoScale: {
            areas: components["schemas"]["Measured"][];
            lines: components["schemas"]["Measured"][];
            /** Format: double */
            mmPerPixel: number;
            /** Format: double */
            sd: number;
            warnings: string[];
        };
        PlaceInput: {
            /** @description like '3 m2' or '20 sq ft' */
            area?: string;
            /** @description id of its range; left out for the first */
            dose?: string;
            /** Format: int64 */
            plants?: number;
            pots?: components["schemas"]["Pot"][];
            /** @description remedy id */
            remedy: string;
            /**
             * @description the grower's kitchen spoons
             * @enum {string}
             */
            spoons?: "metric" | "us" | "imperial" | "au" | "";
            /** @enum {string} */
            use?: "low" | "middle" | "top" | "";
        };
        PlaceRate: {
            /**
             * Format: double
             * @description of what is weighed, the heaviest a levelled mL of it is met; approximate
             */
            gramsPerMl?: number;
            /** Format: double */
            high: number;
            id: string;
            /** Format: double */
            low: number;
            name: string;
            /** @description m2 (of bed or leafy ground), pot L (litre of pot) or plant */
            per: string;
            /** @description g, mL of mix, animals or plants */
            unit: string;
            /** @description dust, bait, rake, water, pour, release or plant */
            way: string;
        };
        Placed: {
            /** Format: double */
            amount: number;
            lines: string[];
            /** @description how it is put on, step by step */
            order?: string[];
            range: string;
            /** @description a weight in levelled spoons, rounded down */
            spoons?: components["schemas"]["Spooned"];
            text: string;
            unit: string;
            /** @description what it is measured into */
            vessel?: string;
        };
        Plan: {
            buy: components["schemas"]["Dose"][];
            /** Format: int64 */
            fillings: number;
            leftOver: string;
            marks: components["schemas"]["Mark"][];
            /** @description more than anybody carries on the back: more likely a slip of the unit */
            much?: boolean;
            order: string[];
            perLitre: string[];
            tanks: components["schemas"]["Tank"][];
            vessel?: string;
            volume: string;
            /** Format: double */
            volumeMl: number;
            warnings: string[];
        };
        PlantSize: {
            /**
             * Format: int64
             * @description 1 to 500
             */
            count: number;
            /**
             * Format: double
             * @description 2 to 1000
             */
            heightCm: number;
            /**
             * @description how leafy it is
             * @enum {string}
             */
            leaf?: "sparse" | "ordinary" | "dense" | "";
            /**
             * Format: double
             * @description 2 to 1000
             */
            widthCm: number;
        };
        Point: {
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        Policy: {
            /**
             * @description yes, only in heavy pressure, or no
             * @enum {string}
             */
            use: "yes" | "heavy" | "no";
            why?: string;
        };
        Pot: {
            /**
             * Format: double
             * @description at most 200; its diameter, when what it holds is not known
             */
            acrossCm?: number;
            /**
             * Format: int64
             * @description 1 to 500
             */
            count: number;
            /** @description what one pot holds, like '5 L' */
            size?: string;
        };
        Practice: {
            calibration: components["schemas"]["Calibrated"];
            /** @description points of the last whole cases, oldest first */
            cases: number[];
            course: components["schemas"]["Course"];
            /**
             * Format: int64
             * @description days of the last four weeks on which something was practised
             */
            days: number;
            /**
             * Format: int64
             * @description things once known that are fading
             */
            due: number;
            kinds: components["schemas"]["KindDone"][];
            /** @description certainties to choose from */
            sureties: components["schemas"]["Surety"][];
            /**
             * Format: int64
             * @description answers given today
             */
            today: number;
            /**
             * Format: int64
             * @description of the course
             */
            version: number;
        };
        PracticeCase: {
            /** @description id */
            host: string;
            id: string;
            /** @description what was asked and seen, in order */
            looks: components["schemas"]["Look"][];
            /** Format: double */
            minutes: number;
            /** Format: int64 */
            month: number;
            /** @description of a real sample of before: findings that were looked at then */
            only?: string[];
            place: string;
            plant: string;
            /** @description what the grower's own sprayer holds */
            sprayer: string;
            story: string;
            /** @description the sample was used up: nothing more can be looked at */
            used?: boolean;
        };
        PracticeVerdict: {
            /**
             * @description do something, leave it and watch, or send it on
             * @enum {string}
             */
            act: "act" | "wait" | "refer";
            /** @description of what is mixed, how much goes into the grower's sprayer, like 20 mL or 4 metric tsp */
            amount?: string;
            /** @description cause id; empty: undetermined, it is sent on */
            cause?: string;
            /**
             * Format: int64
             * @description of what is repeated, days to the next time; 0: not said
             */
            every?: number;
            /** @description what is done first, where something is */
            remedy?: string;
            /** Format: double */
            sure: number;
        };
        Pressure: {
            /** @description the index at the end of each day */
            days: number[];
            /** @enum {string} */
            id: "mites" | "mildew";
            /**
             * Format: double
             * @description 0 to 100
             */
            index: number;
            name: string;
            why: string;
            /** @enum {string} */
            word: "low" | "moderate" | "high";
        };
        Problem: {
            /**
             * @description for a program to branch on
             * @enum {string}
             */
            code?: "fields" | "missing" | "stale" | "version-missing" | "key-used" | "role" | "token" | "sign-in" | "password" | "wait" | "busy" | "too-large" | "type" | "file-full" | "file-read-only" | "file-damaged" | "ours";
            /** @description one sentence for a person */
            detail: string;
            errors?: components["schemas"]["Fault"][];
            /** Format: int64 */
            status: number;
            title: string;
            /** @description about:blank; the code and the title say it */
            type: string;
        };
        Protected: {
            case: string;
            grower: string;
            name: string;
            number: string;
            plant: string;
            remedy: string;
            since: components["schemas"]["Since"];
        };
        Protocol: {
            from?: string;
            id: string;
            /** @description what is dangerous, and what makes it worthless */
            mind: string;
            name: string;
            source: string;
            steps: components["schemas"]["ProtocolStep"][];
        };
        ProtocolStep: {
            /**
             * Format: double
             * @description of a step that takes its time
             */
            minutes?: number;
            text: string;
        };
        Question: {
            askOn?: string;
            call: boolean;
            cause?: string;
            causeName?: string;
            /** Format: double */
            certainty: number;
            contact?: string;
            /** Format: date-time */
            createdAt: string;
            degree?: string;
            grower: string;
            id: string;
            /** @description account whose case it is */
            keeper?: string;
            /** Format: int64 */
            late: number;
            line: string;
            number: string;
            place?: string;
            plant: string;
            stage: string;
            /** Format: int64 */
            urgency: number;
            /** Format: int64 */
            version: number;
            what: string;
            when: string;
        };
        Range: {
            /** Format: double */
            high: number;
            /** Format: double */
            low: number;
            /** Format: double */
            mean: number;
            unit: string;
            what: string;
        };
        Ranking: {
            alarms: components["schemas"]["Alarm"][];
            candidates: components["schemas"]["Candidate"][];
            leader: string;
            /** @description what was seen for sure and neither the leader nor a second trouble beside it explains; while one stands nothing is settled */
            leftOver: components["schemas"]["LeftOver"][];
            /** Format: int64 */
            looked: number;
            mustLook: components["schemas"]["MustLook"][];
            next: components["schemas"]["NextLook"][];
            other: string;
            pairs: components["schemas"]["Pair"][];
            plans: components["schemas"]["SamePlan"][];
            rival: string;
            stop: string;
            tell: string[];
            tilt: components["schemas"]["Weight"][];
            /** Format: double */
            tiltPrior: number;
            /** Format: double */
            tiltTotal: number;
            unlisted: components["schemas"]["Unlisted"];
            /** @enum {string} */
            verdict: "settled" | "group" | "working" | "open" | "undetermined";
            why: string[];
        };
        Rate: {
            form: string;
            high: string;
            id: string;
            low: string;
            name: string;
            /** @description of a strength, what the usual bottle holds, like 70 % */
            stock?: string;
            /** @description another part that has to be in the tank */
            with?: string;
        };
        Ratio: {
            /**
             * Format: double
             * @description probability that it lies at or above the line
             */
            above: number;
            /** @description sure, think or guess: how sure one may be of the side of the line it lies on */
            certainty: string;
            /** Format: double */
            high: number;
            /** Format: double */
            line: number;
            /**
             * Format: double
             * @description 95 of 100 such intervals hold the true one
             */
            low: number;
            /**
             * Format: int64
             * @description repeats of both that would likely settle it to 95 in 100; 0 when it is settled, -1 when no sensible number would
             */
            more: number;
            /** Format: double */
            ratio: number;
            /** Format: double */
            sd: number;
            settled: boolean;
            text: string;
            warnings: string[];
        };
        RatioRequest: {
            /** @description the first length, repeat after repeat, in divisions or pixels */
            a: number[];
            /** @description the second */
            b: number[];
            /** @description read in pixels, each end set by a click */
            clicks?: boolean;
            /**
             * Format: double
             * @description µm a division under the first objective; both factors, or neither
             */
            factorA?: number;
            /**
             * Format: double
             * @description µm a division under the second
             */
            factorB?: number;
            /**
             * Format: double
             * @description how far the first factor is off, µm a division; 0 when left out
             */
            factorSdA?: number;
            /** Format: double */
            factorSdB?: number;
            /**
             * Format: double
             * @description of the key; 1 when left out
             */
            line?: number;
            /** @description under which the first was read */
            objectiveA?: string;
            objectiveB?: string;
            /**
             * Format: double
             * @description how far one reading of either is off by its scale alone, in the unit it is given in; that of half divisions when left out
             */
            readSd?: number;
            /**
             * Format: double
             * @description the same for the first alone
             */
            readSdA?: number;
            /**
             * Format: double
             * @description and for the second
             */
            readSdB?: number;
        };
        Reading: {
            /**
             * Format: double
             * @description eyepiece divisions that were laid over it; above 0
             */
            divisions: number;
            /**
             * Format: double
             * @description of the stage micrometer, above 0
             */
            micrometres: number;
        };
        ReadingsBody: {
            readings: components["schemas"]["Reading"][];
            /**
             * @description what was counted; divisions of the eyepiece when left out
             * @enum {string}
             */
            unit?: "division" | "pixel" | "";
        };
        Reason: {
            gate: string;
            status: string;
            text: string;
            /** @description the day it is free, YYYY-MM-DD, when that is known */
            until?: string;
        };
        RecentWeather: {
            /**
             * Format: int64
             * @description looked back
             */
            days: number;
            /** @description wet spells that let a disease in, of the days looked back */
            events: components["schemas"]["Event"][];
            /** @description who the hours are from */
            from: string;
            /** @description open cases with something that protects on the leaves, what is thinnest first */
            out: components["schemas"]["Protected"][];
            /** @description empty where no hour is known */
            pressure: components["schemas"]["Pressure"][];
            /** Format: double */
            rainMm: number;
        };
        Recount: {
            /**
             * Format: double
             * @description pests per unit after, likewise
             */
            after?: number;
            /** @description pests on each leaf or shoot after */
            afterCounts?: number[];
            /**
             * Format: double
             * @description pests per unit before, when they were not written down one by one
             */
            before?: number;
            /** @description pests on each leaf or shoot before; takes the place of the mean */
            beforeCounts?: number[];
            /**
             * Format: double
             * @description untreated neighbour after
             */
            checkAfter?: number;
            /**
             * Format: double
             * @description untreated neighbour before, mean of as many units
             */
            checkBefore?: number;
            /**
             * Format: double
             * @description variance to mean, 1 to 100, where only means are known; taken as clumped when left out
             */
            dispersion?: number;
            /**
             * Format: int64
             * @description leaves or shoots counted each time, for the means
             */
            units?: number;
        };
        Refusal: {
            mend: string;
            problem: string;
            /**
             * Format: int64
             * @description line of a CSV, record of a JSON, counted from 1
             */
            row: number;
        };
        RefusedRow: {
            /**
             * Format: int64
             * @description of the file, counted from 1
             */
            line: number;
            text: string;
        };
        Remedy: {
            /** @description of such a one, what a litre of finished mix holds; approximate */
            active?: components["schemas"]["Active"];
            /** @description contact, residual, gut, protects or cures */
            acts?: string;
            /** @description what growers call it; a name two remedies share is asked about */
            aliases?: string[];
            /** @description it goes beside what is done and cures nothing by itself */
            aside?: boolean;
            /** @description fine, evening or never */
            bloom: string;
            /** @description its bottles differ many times in strength: mixed only at the rate on the bottle */
            bottle?: boolean;
            cautions: string[];
            /** @description classes that rules speak of */
            classes?: string[];
            /** @description where a released helper can live */
            climate?: string;
            /** @description it cuts living wood */
            cuts?: boolean;
            /** @description amounts per bed, pot or plant */
            doses?: components["schemas"]["PlaceRate"][];
            flammable?: boolean;
            /** @description fine, label or never */
            food: string;
            from?: string;
            /** Format: double */
            halfLifeDays?: number;
            /** @description sensitivity classes that concern it */
            harms?: string[];
            hazards: components["schemas"]["Hazards"];
            /** @description when in the day it is put on: morning, evening, or free for the school to say; empty where the hour does not matter */
            hour?: string;
            how: string[];
            id: string;
            /** @description fine, air or never */
            indoors: string;
            ingredient?: string;
            /** @description stage → share killed where it reaches, 0 to 1 */
            kills?: {
                [key: string]: number;
            };
            /** @description action, culture, helper, product or referred */
            kind: string;
            licensed?: boolean;
            /** @description stands in for another remedy wherever that one is meant, a step less worth */
            like?: string;
            /** @description mode-of-action group */
            mode?: string;
            modeName?: string;
            /** @description months of the northern year it is done in; empty for any */
            months?: number[];
            /** Format: int64 */
            mostPerSeason?: number;
            name: string;
            noDrought?: boolean;
            noSun?: boolean;
            /** @description where it can be done: pot, ground or glass; empty for anywhere */
            only?: string;
            /** @description patch test first */
            patch?: boolean;
            /** @description it keeps trouble from coming and does nothing for what is there */
            prevents?: boolean;
            rates?: components["schemas"]["Rate"][];
            /** @description leaf, soil, or empty for either */
            reach?: string;
            /** Format: int64 */
            repeatMaxDays?: number;
            /** Format: int64 */
            repeatMinDays?: number;
            /**
             * Format: int64
             * @description 0 leave it … 7 referred only
             */
            rung: number;
            /** @description dormant: only without leaves; leaf: only in leaf */
            season?: string;
            source: string;
            storage?: string;
            /** Format: double */
            tempMaxC?: number;
            /** Format: double */
            tempMinC?: number;
            /**
             * Format: int64
             * @description days before harvest
             */
            waitDays?: number;
            wear?: string[];
            /** @description cleaning up that is done while the plant rests */
            winterTask?: boolean;
            /** @description one name for many doings: where the cause says how, that stands in place of its own how */
            yields?: boolean;
        };
        RemedyBody: {
            note?: string;
            remedies: string[];
        };
        Result: {
            /** Format: double */
            after: number;
            /** Format: double */
            before: number;
            /** Format: double */
            high: number;
            /** Format: double */
            low: number;
            method: string;
            /** Format: double */
            reduction: number;
            text: string;
            /** @description better, worse, no change (surely within a factor of 1.5 of none), cannot tell */
            word: string;
        };
        ReviewBody: {
            agree: boolean;
            note?: string;
        };
        RhythmWeeks: {
            /** @description an answer to how often, solved for days worked out one by one, set for those in hand, or alone */
            id: string;
            name: string;
            on: string[];
            /**
             * Format: double
             * @description pest-days, as a share of those when it is left alone
             */
            share: number;
        };
        RoundBody: {
            /** @enum {string} */
            move: "repeat" | "step up" | "switch" | "bring back";
        };
        RoundRow: {
            askOn?: string;
            call: boolean;
            cause?: string;
            causeName?: string;
            /** Format: double */
            certainty: number;
            contact?: string;
            /** Format: date-time */
            createdAt: string;
            degree?: string;
            grower: string;
            id: string;
            /** @description account whose case it is */
            keeper?: string;
            /** @enum {string} */
            kind: "answered" | "call" | "boss" | "late" | "due" | "decide" | "moved" | "soon";
            /** Format: int64 */
            late: number;
            line: string;
            number: string;
            place?: string;
            plant: string;
            /**
             * Format: int64
             * @description times without an answer, one after the other
             */
            silent?: number;
            stage: string;
            /** @description what was told last, in a word or a note */
            told?: string;
            /** Format: int64 */
            urgency: number;
            /** Format: int64 */
            version: number;
            what: string;
            when: string;
        };
        Rounds: {
            counts: {
                [key: string]: number;
            };
            /**
             * Format: int64
             * @description due ones that are not shown
             */
            more?: number;
            /** @description what is most pressing first */
            rows: components["schemas"]["RoundRow"][];
        };
        SamePlan: {
            causes: string[];
            group: string;
            /** @description one action is good for all of them: the kind need not be told */
            one: boolean;
            /** Format: double */
            p: number;
        };
        SampleSize: {
            /**
             * Format: int64
             * @description beyond those counted
             */
            more: number;
            /** Format: int64 */
            n: number;
            text: string;
        };
        Sampling: {
            from?: string;
            how: string;
            /** @description the unit: leaf, shoot, plant ... */
            id: string;
            source: string;
            /** @description where on the drawing: leaves, tips, flowers, plants or ground */
            spots: string;
            /**
             * Format: int64
             * @description units that mostly do
             */
            take: number;
            where: string;
        };
        SaveBody: {
            name: string;
            /** @description as it stands behind the ? of the address */
            query: string;
        };
        SavedSearch: {
            id: string;
            name: string;
            /** @description as it stands behind the ? of the address */
            query: string;
        };
        School: {
            default: string;
            from?: string;
            id: string;
            options: components["schemas"]["Option"][];
            question: string;
            source: string;
            /** @description why the default is the default */
            why: string;
        };
        SchoolBody: {
            /** @description its answer for this case; empty goes back to the house's */
            option: string;
            /** @description question of the trade */
            school: string;
        };
        Score: {
            /** Format: double */
            brier: number;
            expert: components["schemas"]["LookTaken"][];
            /** Format: double */
            expertMinutes: number;
            /** @description what would have hurt somebody; each takes the points for what is done */
            faults: string[];
            /**
             * Format: int64
             * @description which look first told something, from 1; 0 for none
             */
            firstUseful: number;
            /** Format: double */
            minutes: number;
            parts: components["schemas"]["ScorePart"][];
            /**
             * Format: int64
             * @description of a hundred
             */
            points: number;
            /**
             * @description the cause; another that is treated the same; neither
             * @enum {string}
             */
            right: "yes" | "plan" | "no";
            /** @description the finding that did */
            split?: string;
            /** @description what was asked, with what an expert would have asked */
            steps: components["schemas"]["LookTaken"][];
            /** @description what split it at last, in a sentence */
            tilt: string;
            truth: string;
            truthId?: string;
        };
        ScorePart: {
            /** Format: int64 */
            most: number;
            name: string;
            /** Format: int64 */
            points: number;
            why: string;
        };
        Season: {
            /** @description what was put on and what came of it, from five known ends on */
            advised: components["schemas"]["NamedAdvice"][];
            arrivals: components["schemas"]["NamedArrival"][];
            bands: components["schemas"]["NamedBand"][];
            /**
             * Format: int64
             * @description samples in the same weeks a year earlier
             */
            before: number;
            desk: string;
            from: string;
            /**
             * Format: double
             * @description how wide a square is
             */
            gridKm: number;
            /** @description by plant, the most first */
            hosts: components["schemas"]["SeasonCount"][];
            /** @description verdicts that were changed later */
            mistaken: components["schemas"]["NamedMistake"][];
            /**
             * Format: int64
             * @description samples
             */
            n: number;
            /**
             * Format: int64
             * @description samples of which nobody said where they grow
             */
            nowhere: number;
            /** @description by square of the district */
            squares: components["schemas"]["SquareCount"][];
            /** @description as of the last day */
            surges: components["schemas"]["NamedSurge"][];
            /** @description the last day, with it */
            to: string;
            /**
             * Format: int64
             * @description of those, undetermined
             */
            unknown: number;
            /** @description minutes from bag to page */
            waits: components["schemas"]["Waits"];
            /** @description whose hours the degree-days are from */
            weather: string;
            /** @description Mondays */
            weeks: string[];
        };
        SeasonCount: {
            id?: string;
            /** Format: int64 */
            n: number;
            name: string;
        };
        Seen: {
            /**
             * @description sure when left out
             * @enum {string}
             */
            certainty?: "sure" | "think" | "guess" | "";
            character: string;
            /**
             * Format: double
             * @description of a measured character
             */
            ratio?: number;
            /**
             * Format: double
             * @description of the ratio; 8 in 100 of it when left out
             */
            sd?: number;
            state?: string;
        };
        SeenDegree: {
            /** @enum {string} */
            degree: "light" | "moderate" | "heavy";
            /** @description the look that says so */
            said: string;
        };
        SendBody: {
            /**
             * @description the page, or the question how it went
             * @enum {string}
             */
            kind: "page" | "ask";
        };
        Sent: {
            /** Format: date-time */
            at: string;
            case: string;
            id: string;
            /** @enum {string} */
            kind: "page" | "moved" | "ask";
            reach: string;
            said?: string;
            /** @enum {string} */
            state: "waiting" | "sending" | "sent" | "delivered" | "failed" | "bounced" | "answered" | "held";
            text: string;
            /** Format: int64 */
            tries: number;
        };
        Sequential: {
            /**
             * Format: double
             * @description the lower of the two levels it tells apart
             */
            borne: number;
            /**
             * Format: double
             * @description below 0
             */
            h0: number;
            /** Format: double */
            h1: number;
            /**
             * Format: double
             * @description the upper
             */
            harm: number;
            /** Format: int64 */
            least: number;
            /**
             * Format: double
             * @description the threshold it is set about: a share, or pests a unit
             */
            level: number;
            /** Format: int64 */
            most: number;
            /**
             * @description what runs up: units hit, or pests
             * @enum {string}
             */
            of: "hit" | "pests";
            /**
             * Format: double
             * @description s of the lines h0+s·n and h1+s·n
             */
            slope: number;
        };
        SequentialResult: {
            /** @description where it first could have stopped; what was counted after it counts as well */
            crossed?: components["schemas"]["Crossing"];
            /**
             * Format: int64
             * @description units at least that it would still take, were all of them clean or all of them hit
             */
            least: number;
            /** Format: int64 */
            n: number;
            /** @enum {string} */
            says: "more" | "wait" | "act";
            /** Format: int64 */
            sum: number;
        };
        SessionBody: {
            desk: components["schemas"]["Identity"];
            /** @description what this role may do beyond what everybody may */
            may: ("agree with a trainee's verdict" | "bring in hours of weather and take them out" | "bring records or sheets in, and take them out again" | "change the house's rules, words and course" | "change the verdict of what is handed over" | "close a case" | "copy, look over and mend the desk's file" | "end somebody else's sessions" | "give a verdict that waits for nobody" | "give out calendar addresses, and end them" | "give somebody cases that are another's" | "give somebody cases that are nobody's" | "hand over what a trainee prepared" | "let people in, and change who they are" | "merge, split, rename and forget growers" | "open a closed case again" | "see everybody's long work" | "see how others practise" | "send a grower a message" | "set a device that everybody uses" | "take a grower's address back" | "take out everything, with people" | "take tables without people out" | "write down when somebody else is away")[];
            /** @description the desk's day, YYYY-MM-DD */
            now: string;
            person: components["schemas"]["Person"];
            /** @description to be sent as X-Botanik-Token with every change */
            token: string;
        };
        "Set-passwordRequest": {
            old: string;
            /** @description the new one */
            password: string;
        };
        Severity: {
            /** @description how many leaves at each reference share */
            classes: number[];
            /**
             * Format: int64
             * @description leaves with any
             */
            hit: number;
            /**
             * Format: double
             * @description disease index over the reference shares as classes, 0 to 1
             */
            index: number;
            /**
             * Format: double
             * @description per cent of leaf area, over all leaves, clean ones too
             */
            mean: number;
            /** Format: int64 */
            n: number;
            /**
             * Format: double
             * @description per cent, over the leaves that have any
             */
            ofHit: number;
            /** @enum {string} */
            word: "none" | "light" | "moderate" | "heavy";
        };
        ShareAnswer: {
            found: components["schemas"]["ShareFound"];
            /** @description a PNG of the picture's size as a data address */
            mask: string;
        };
        ShareFound: {
            /** @description by the program */
            chosen: boolean;
            /** Format: double */
            high: number;
            /**
             * Format: double
             * @description with the threshold a little lower, and the outline half a pixel in
             */
            low: number;
            /**
             * Format: int64
             * @description of the leaf
             */
            pixels: number;
            /**
             * Format: double
             * @description 0 to 1
             */
            share: number;
            text: string;
            /**
             * Format: double
             * @description that was used
             */
            threshold: number;
            warnings: string[];
        };
        ShareRequest: {
            /** @description of the leaf, three points or more */
            outline: components["schemas"]["Point"][];
            /** @description what the brush says outranks the threshold; the later the stroke, the more */
            strokes?: components["schemas"]["Stroke"][];
            /**
             * Format: double
             * @description greenness below which a pixel is sick, -1 to 2; chosen between the two heaps of pixels when left out
             */
            threshold?: number;
        };
        Sheet: {
            advisor: string;
            /** @description said when the desk has taken the case up again since */
            again?: string;
            always: string[];
            amounts: string[];
            /** @description the same, YYYY-MM-DD */
            askDay?: string;
            askOn?: string;
            /** @description what is done beside it, and on which days */
            beside?: components["schemas"]["SheetWith"][];
            /** @description a second trouble on the same plant */
            besides?: components["schemas"]["SheetBesides"];
            /** @description what to bring or say when it is asked how it went */
            bring?: string;
            date: string;
            days: string[];
            desk: string;
            disposal?: string;
            /** @description the cause whose drawing stands on the page, at /drawings/ */
            drawing?: string;
            /** @description what it can do to people and what they do first; before anything about the plant */
            first?: string;
            grower: string;
            handed: boolean;
            hour?: string;
            lookFor: string[];
            mix?: components["schemas"]["SheetMix"];
            /** @description days that were moved since it was handed over, each with its reason */
            moved?: string[];
            mustNot: string[];
            /** @description so that it does not come back: what only prevents */
            next?: string[];
            /** @description before which day nothing of it is picked */
            notUntil?: string;
            number: string;
            place: string;
            plant: string;
            /** @description how the desk is reached */
            reach?: string;
            recovers?: string;
            refer?: string;
            steps: components["schemas"]["SheetStep"][];
            sure: string;
            /** @description day by day what is done and how much of it */
            table?: components["schemas"]["SheetDay"][];
            title: string;
            together: string[];
            token?: string;
            what: string;
            why: string[];
        };
        SheetBesides: {
            /** @description whom to call, where it is for the authority */
            refer?: string;
            /** @description what is done about it by hand */
            steps: components["schemas"]["SheetStep"][];
            title: string;
            what: string;
        };
        SheetDay: {
            day: string;
            /** @description the day it was first meant for, where the weather moved it */
            first?: string;
            much?: string;
            /** @description the day, YYYY-MM-DD */
            on?: string;
            what: string;
        };
        SheetFill: {
            /** @description water, or what is poured in: liquid, soap, oil, powder ... */
            form: string;
            /**
             * Format: double
             * @description how full it is before, 0 to 1
             */
            from: number;
            /** @description the step drawn, as SVG; made when the page is read and kept nowhere */
            picture?: string;
            spoons?: components["schemas"]["SheetSpoon"][];
            text: string;
            /**
             * Format: double
             * @description and after
             */
            to: number;
        };
        SheetMix: {
            buy: string[];
            /** @description one filling, step by step, for drawing */
            fills?: components["schemas"]["SheetFill"][];
            lines: string[];
            notes: string[];
            order: string[];
            product: string;
            /** @description what it is mixed in */
            vessel?: string;
        };
        SheetSpoon: {
            /** Format: int64 */
            count: number;
            /** Format: double */
            ml: number;
            name: string;
        };
        SheetStep: {
            /** @description how often, where no days are given for it */
            again?: string;
            cautions: string[];
            /** @description when in the day, where the days do not say it */
            hour?: string;
            how: string[];
            name: string;
            storage?: string;
            wear: string[];
            /** @description on what condition it is done */
            when?: string;
        };
        SheetWith: {
            /** @description as they are read */
            days: string[];
            /** @description the days, YYYY-MM-DD */
            on: string[];
            what: string;
            why: string;
        };
        Sign: {
            finding: string;
            states: string[];
        };
        SignInInBody: {
            login: string;
            password: string;
        };
        Since: {
            /** @description not before this day, by the label's shortest gap */
            again: string;
            /** Format: int64 */
            days: number;
            /**
             * Format: double
             * @description share of the hours since whose rain is known
             */
            known: number;
            /**
             * Format: double
             * @description share that still lies on the leaf, 0 to 1: a rule of thumb
             */
            left: number;
            /** @description that day has come */
            may: boolean;
            on: string;
            /**
             * Format: double
             * @description since
             */
            rainMm: number;
            says: string;
            /** @enum {string} */
            word: "lies" | "thin" | "gone";
        };
        SkyDay: {
            /** Format: double */
            maxC: number;
            /** Format: double */
            minC: number;
            /** Format: double */
            rainMm: number;
        };
        SlideKey: {
            characters: components["schemas"]["Character"][];
            groups: string[];
            /** @description how slides and strips are made ready */
            protocols: components["schemas"]["Protocol"][];
            species: components["schemas"]["Species"][];
        };
        SlideState: {
            id: string;
            name: string;
        };
        Species: {
            /** @description the cause in the book it is, where there is one */
            cause?: string;
            from?: string;
            group: string;
            /** @description plants it is met on most, by id, group or family */
            hosts: string[];
            id: string;
            name: string;
            /** @description measured ratios, least and most */
            ranges?: {
                [key: string]: number[];
            };
            scientific: string;
            source: string;
            /** @description what it shows of each character; not named, it is not known */
            states: {
                [key: string]: string[];
            };
        };
        SpeciesFit: {
            /** @description characters seen otherwise than it has them, by their names */
            against: string[];
            cause?: string;
            name: string;
            /** @description it is met on the plant */
            onHost: boolean;
            /** Format: double */
            p: number;
            /** @description nothing that was seen speaks against it, or too little */
            possible: boolean;
            scientific: string;
            species: string;
        };
        Spell: {
            /** Format: date-time */
            from: string;
            /** Format: int64 */
            hours: number;
            /** Format: double */
            meanC: number;
            /** Format: date-time */
            to: string;
        };
        SplitBody: {
            /** @description which are the other's, by id */
            cases: string[];
            contact?: string;
            /** @description of the other; it may be the same */
            name: string;
            /** @description by id */
            person: string;
        };
        SplitLook: {
            /** Format: double */
            divergence: number;
            expect: string[][];
            finding: string;
            /** Format: double */
            minutes: number;
            name: string;
            /** Format: double */
            perMinute: number;
        };
        Spoken: {
            finding: string;
            state: string;
            /** @description of the story, as written */
            words: string;
        };
        Spoon: {
            /** Format: int64 */
            count: number;
            /** Format: double */
            ml: number;
            name: string;
        };
        Spooned: {
            belowLow: boolean;
            /** Format: double */
            errorPct: number;
            /** Format: double */
            ml: number;
            spoons: components["schemas"]["Spoon"][];
            text: string;
            world: string;
        };
        Spot: {
            /** Format: double */
            x: number;
            /** Format: double */
            y: number;
        };
        SprayDay: {
            day: string;
            hours: components["schemas"]["Judged"][];
            light: components["schemas"]["Light"];
            /** @description leaves are wet in that hour */
            wet: boolean[];
        };
        SprayWeek: {
            /** @description the desk's place */
            at: string;
            /** @description two at most, soonest first */
            best: components["schemas"]["Stretch"][];
            days: components["schemas"]["SprayDay"][];
            /** @description wet spells in these days that let a disease in */
            events: components["schemas"]["Event"][];
            /** @description what holds in a room, where the sky does not count */
            indoors?: string[];
            name: string;
            needs: components["schemas"]["Needs"];
            /** Format: date-time */
            now: string;
            /**
             * Format: double
             * @description in these days
             */
            rainMm: number;
            remedy: string;
            /** @description where the hours come from */
            weather: string;
        };
        SquareCount: {
            /** @description the three causes it brought most of */
            most: components["schemas"]["SeasonCount"][];
            /** Format: int64 */
            n: number;
            square: string;
        };
        StageKill: {
            /** Format: double */
            share: number;
            stage: string;
        };
        State: {
            absent?: boolean;
            background: string;
            /** @description of a condition that favours trouble, what to do otherwise */
            change?: string;
            /** @description how heavy a trouble is that shows it: light, moderate or heavy; empty where it tells nothing of that */
            degree?: string;
            /** @description how it shows on the drawn sample */
            drawing?: components["schemas"]["StateDrawing"];
            id: string;
            name: string;
            said?: string;
            /** @description states of the same finding it is easily taken for */
            takenFor?: string[];
            /** @description the sample cannot be judged: it is sent on or brought again */
            unfit?: boolean;
            /** @description other words a grower has for it */
            words?: string[];
        };
        StateDrawing: {
            add?: {
                [key: string]: unknown;
            };
            /**
             * Format: double
             * @description how much of the layers, 0 to 1; all when left out
             */
            amount?: number;
            animals?: {
                [key: string]: unknown;
            };
            layers?: string[];
            /**
             * Format: int64
             * @description how many animals
             */
            n?: number;
            refine?: {
                [key: string]: unknown;
            };
        };
        Step: {
            id: string;
            name: string;
            note?: string;
            state: string;
        };
        StoryLine: {
            /** Format: date-time */
            at: string;
            kind: string;
            /** Format: int64 */
            seq: number;
            text: string;
            who: string;
        };
        Stretch: {
            /** Format: date-time */
            from: string;
            /** Format: int64 */
            hours: number;
            text: string;
            /** Format: date-time */
            to: string;
        };
        Stroke: {
            points: components["schemas"]["Point"][];
            /**
             * Format: double
             * @description pixels
             */
            radius: number;
            /** @description wipes away instead of adding */
            sound?: boolean;
        };
        Summary: {
            /** Format: double */
            high: number;
            /** Format: int64 */
            infested: number;
            /**
             * Format: double
             * @description negative binomial by moments, m²/(s²−m); 0 when not clumped
             */
            k: number;
            /**
             * Format: double
             * @description of the mean; 95 of 100 such intervals hold it on clumped counts
             */
            low: number;
            /**
             * Format: double
             * @description pests a unit
             */
            mean: number;
            /** Format: int64 */
            n: number;
            /** Format: double */
            share: number;
            /** Format: double */
            shareHigh: number;
            /**
             * Format: double
             * @description 95 in 100, Wilson; Clopper-Pearson under ten units
             */
            shareLow: number;
            /** Format: int64 */
            total: number;
            /**
             * Format: double
             * @description sample variance, n-1
             */
            variance: number;
            /**
             * Format: double
             * @description 1 when scattered at random, more when clumped
             */
            varianceToMean: number;
        };
        Surety: {
            name: string;
            /** Format: double */
            sure: number;
        };
        Table: {
            columns: components["schemas"]["Column"][];
            name: string;
            row: string;
        };
        Tag: {
            askOn?: string;
            cause?: string;
            causeName?: string;
            /** Format: double */
            certainty: number;
            /** Format: date-time */
            createdAt: string;
            degree?: string;
            grower: string;
            id: string;
            /** @description account whose case it is */
            keeper?: string;
            line: string;
            number: string;
            place?: string;
            plant: string;
            stage: string;
            /** Format: int64 */
            urgency: number;
            /** Format: int64 */
            version: number;
        };
        Tank: {
            /** Format: int64 */
            count: number;
            doses: components["schemas"]["Dose"][];
            steps: components["schemas"]["FillStep"][];
            text: string;
            /** Format: double */
            volume: number;
            /** Format: double */
            water: number;
            waterText: string;
        };
        Target: {
            id: string;
            name: string;
            needs?: boolean;
        };
        Templates: {
            /** @description how did it go */
            ask: string;
            /** @description when the weather moved a day */
            moved: string;
            /** @description with the page, after the hand-over */
            page: string;
        };
        Threshold: {
            /** @description none is borne */
            none?: boolean;
            /** @description the tally it speaks of: pests, young, marks ...; pests when left out */
            of?: string;
            /**
             * Format: double
             * @description of what Of names, a unit
             */
            perUnit?: number;
            /**
             * Format: double
             * @description of units with any of what Of names, 0 to 1
             */
            share?: number;
            source: string;
            /** @description leaf, shoot, plant ...; leaf when left out */
            unit?: string;
        };
        Today: {
            ask: components["schemas"]["Question"][];
            bench: components["schemas"]["Tag"][];
            /** Format: int64 */
            brought: number;
            /** @description how many there are in all; the trays show the oldest */
            counts: components["schemas"]["Counts"];
            date: string;
            desk: string;
            /** Format: int64 */
            longestMinutes: number;
            notices: components["schemas"]["Notice"][];
            ready: components["schemas"]["Tag"][];
            waiting: components["schemas"]["Tag"][];
            weather: string;
        };
        TogetherBody: {
            /** @description the one that is answered first */
            cases: components["schemas"]["Which"][];
        };
        TogetherDay: {
            day: string;
            on: string;
            /** @description plant by plant */
            what: string[];
        };
        Tolerable: {
            /** @description none is borne */
            none?: boolean;
            /** @description the tally it speaks of, where that is not pests: young, marks, parasitised */
            of?: string;
            /**
             * Format: double
             * @description pests per leaf or shoot; 0 when not counted so
             */
            perUnit?: number;
            /**
             * Format: double
             * @description share of leaves hit, 0 to 1; 0 when not counted so
             */
            share?: number;
            source: string;
            text: string;
            unit?: string;
        };
        Treated: {
            /** @description remedies the words could mean, while nobody said which; the waits of all of them count */
            couldBe?: string[];
            /** @description day, YYYY-MM-DD */
            on: string;
            /** @description the remedy of the herbarium it answers to, when known */
            remedy?: string;
            /** @description in the grower's words */
            what: string;
        };
        Treatment: {
            by: string;
            note?: string;
            remedies: string[];
        };
        Undone: {
            /** Format: int64 */
            gone: number;
            /** @description what somebody worked on since, and stays: numbers of cases, names of house documents */
            stay: string[];
        };
        Unlisted: {
            /** @description what it would most likely be, in plain words */
            class: string;
            /** @description the book holds little on this plant */
            few?: boolean;
            /** Format: double */
            p: number;
        };
        Upload: {
            /**
             * Format: int64
             * @description so far
             */
            bytes: number;
            id: string;
            name: string;
        };
        Verdict: {
            /** @description a second cause at work */
            also?: string;
            /** Format: date-time */
            at: string;
            by: string;
            /** @description cause id; empty when undetermined */
            cause?: string;
            /** @enum {string} */
            degree: "settled" | "working" | "open" | "undetermined";
            needsReview: boolean;
            note?: string;
            /** Format: double */
            p: number;
            reviewedBy?: string;
        };
        VerdictInput: {
            /** @description a second cause at work */
            also?: string;
            /** @description cause id; left out when undetermined */
            cause?: string;
            /**
             * @description group: settled to what is treated alike, the kind not told
             * @enum {string}
             */
            degree: "settled" | "group" | "working" | "open" | "undetermined";
            /** @description why, when it departs from the ranking or changes an earlier verdict */
            note?: string;
        };
        View: {
            act?: components["schemas"]["Act"];
            askOn?: string;
            /**
             * Format: double
             * @description how full the tag is, 0 to 1
             */
            certainty: number;
            closing?: components["schemas"]["Closing"];
            /** Format: date-time */
            createdAt: string;
            days?: components["schemas"]["Days"];
            doses: components["schemas"]["KeptDose"][];
            /** @description of all rounds, oldest first */
            followUps: components["schemas"]["FollowUp"][];
            /** @description what this desk's rounds put on it */
            given: components["schemas"]["Treated"][];
            handover?: components["schemas"]["Handover"];
            /** @description house rules changed since this case was decided */
            houseNews: string[];
            id: string;
            intake: components["schemas"]["Intake"];
            /** @description whose case it is; nobody's when left out */
            keeper?: components["schemas"]["Assignee"];
            /** @description what was seen for sure and the verdict, or before one the leader, does not explain */
            leftOver: components["schemas"]["LeftOver"][];
            looks: components["schemas"]["LookRecord"][];
            /** @description what u would take back */
            mayUndo?: string;
            mix?: components["schemas"]["KeptMix"];
            number: string;
            page?: components["schemas"]["Page"];
            photos: components["schemas"]["Photo"][];
            reading: components["schemas"]["Ranking"];
            /** @description a trainee prepared more than leaving it alone: an advisor hands it over */
            release?: boolean;
            /**
             * Format: int64
             * @description rounds of treatment handed over
             */
            round: number;
            /** @description answers this case chose over the house's */
            schools?: {
                [key: string]: string;
            };
            /** @description what the story speaks of and nobody has looked at */
            spoken: components["schemas"]["Spoken"][];
            stage: string;
            steps: components["schemas"]["Step"][];
            treatment?: components["schemas"]["Treatment"];
            /** @description what about the plant is not met at this time of year, as a question */
            unusual?: string;
            /** Format: date-time */
            updatedAt: string;
            verdict?: components["schemas"]["Verdict"];
            /** Format: int64 */
            version: number;
        };
        Vocabulary: {
            causes: components["schemas"]["CauseName"][];
            findings: components["schemas"]["Finding"][];
            /** @description what kind of plant an unknown one is */
            forms: string[];
            /**
             * Format: double
             * @description how much warmer than the air outside it is under glass, °C
             */
            glassOverC: number;
            hosts: components["schemas"]["Host"][];
            /** @description how a case can end, best first */
            outcomes: string[];
            /** @description where a plant can grow */
            places: string[];
            /** @description remedies a house may have a policy on, mildest first */
            policed: string[];
            /** @description of the world, where the desk may be */
            regions: string[];
            remedies: components["schemas"]["Remedy"][];
            /**
             * Format: double
             * @description how warm a room is where nobody read it, °C
             */
            roomC: number;
            /** @description plants that stand in a room until somebody says otherwise */
            roomForms: string[];
            /** @description names of the ladder's rungs, mildest first */
            rungs: string[];
            schools: components["schemas"]["School"][];
            /** @description places that have their own seasons */
            sheltered: string[];
            /** @description of a case, in order */
            stages: string[];
            /** @description degrees of a verdict of which the desk says it is sure */
            sure: string[];
        };
        Waits: {
            /** Format: double */
            longest: number;
            /** Format: double */
            median: number;
            /** Format: int64 */
            n: number;
            /**
             * Format: double
             * @description nine in ten waited no longer
             */
            nineTen: number;
        };
        WeatherFile: {
            /** Format: date-time */
            at: string;
            /** Format: date-time */
            first: string;
            /** Format: int64 */
            hours: number;
            id: string;
            /** Format: date-time */
            last: string;
            name: string;
            who: string;
        };
        WeatherInput: {
            mapping?: components["schemas"]["Mapping"];
            /** @description the file's own name */
            name: string;
            /** @description what looks wrong was looked at and is right */
            sure?: boolean;
            /** @description CSV or JSON, at most 8 MB */
            text: string;
        };
        WeatherReading: {
            /** @description the names there are */
            columns: string[];
            /**
             * Format: int64
             * @description hours
             */
            count: number;
            /** @description what looks wrong: a unit, a running total */
            doubts: string[];
            /** Format: date-time */
            first: string;
            /** @description hours that are missing between the first and the last */
            gaps: components["schemas"]["Gap"][];
            /** Format: date-time */
            last: string;
            ranges: components["schemas"]["Range"][];
            /**
             * Format: int64
             * @description rows that cannot be used
             */
            refused: number;
            /** Format: int64 */
            rows: number;
            /** @description quantities whose unit stands in the file or was chosen */
            said: string[];
            /** @description the first few hours, as they were understood */
            start: components["schemas"]["Hour"][];
            /** @description which column was read as what, in which unit */
            used: components["schemas"]["Mapping"];
            /** @description the first of them */
            why: components["schemas"]["Refusal"][];
        };
        Weeks: {
            /** @description the colony on these days and left alone; empty where no life table is known */
            course?: components["schemas"]["ColonyWeeks"];
            /** @description the first day drawn, YYYY-MM-DD: today */
            from: string;
            /** @description by this day the eggs that were there at the first treatment have hatched */
            hatchBy?: string;
            /** @description from this day their young lay */
            layFrom?: string;
            /**
             * Format: int64
             * @description days drawn
             */
            length: number;
            /** @description the next picking */
            picking?: string;
            /** @description what each rhythm would leave of the pest over these weeks, fewest first */
            rhythms: components["schemas"]["RhythmWeeks"][];
            /** @description the days the forecast knows, from the first */
            sky: components["schemas"]["SkyDay"][];
            /** @description what of the book reaches the stages in soil */
            soilWith?: string[];
        };
        Weighed: {
            /** @description counted earlier on this case */
            before: components["schemas"]["Past"][];
            borne: string;
            decision: components["schemas"]["Decision"];
            /** @description what else favours it, which nobody asked about */
            else: string[];
            /** @description conditions that favour it here, most telling first */
            here: components["schemas"]["Favours"][];
            /** @description the same trouble of this grower the year before */
            lastYear?: string;
            /** @description pests a unit, from a count of with and without */
            quick?: components["schemas"]["MeanFromShare"];
            /** @description how the unit is counted */
            sampling?: components["schemas"]["Sampling"];
            /** @description how heavy it is by what was looked at, where nobody said so */
            seen?: components["schemas"]["SeenDegree"];
            severity?: components["schemas"]["Severity"];
            /** @description units for a mean to a quarter */
            size?: components["schemas"]["SampleSize"];
            /** @description stages that the looks already saw */
            stages: string[];
            summary?: components["schemas"]["Summary"];
            /** @description lines of the running test, about what is borne here */
            test?: components["schemas"]["Sequential"];
            threshold: components["schemas"]["Threshold"];
        };
        Weight: {
            /** Format: double */
            decibans: number;
            finding: string;
            said: string;
            short: string;
            /** @description told by the grower, not seen */
            story?: boolean;
        };
        Which: {
            id: string;
            /** Format: int64 */
            version: number;
        };
        Winter: {
            bare: string;
            leafFall: string;
            open: string;
            swell: string;
        };
        WinterAsk: {
            /** @description last year was bad on this plant */
            badYear?: boolean;
            /** @description a case whose plant, cause, last year and earlier treatments are taken */
            case?: string;
            /** @description what was bad on it last year */
            causes: string[];
            host: string;
            /** @description winter sprays to be used; the program's choice when left out */
            materials?: string[];
        };
        WinterMaterial: {
            against: string[];
            chosen: boolean;
            name: string;
            reasons: components["schemas"]["Reason"][];
            remedy: string;
            status: string;
            /** @enum {string} */
            worth: "good" | "fair" | "some";
        };
        WinterPlan: {
            always: string[];
            deserved: boolean;
            /** @description every winter spray the book has against it, and why one is not used */
            materials: components["schemas"]["WinterMaterial"][];
            /** @description what the plant is in today, by those dates */
            phase: string;
            /** @description what holds between them */
            rules: string[];
            /** @description where the dates of the winter are from */
            source: string;
            /** @description in order of time */
            sprays: components["schemas"]["WinterSpray"][];
            /** @description before anything is sprayed */
            tasks: components["schemas"]["WinterTask"][];
            /** @description why a programme, or why none */
            why: string[];
            winter: components["schemas"]["Winter"];
        };
        WinterSpray: {
            cautions: string[];
            from: string;
            /** @description when to look at the weather again, where no day is fit yet */
            lookOn?: string;
            name: string;
            /** @description the first day the forecast has fit for it */
            on?: components["schemas"]["WorkDay"];
            /** @description more such days, at most three */
            others: components["schemas"]["WorkDay"][];
            remedy: string;
            /** @description why that day, or why none yet */
            says: string;
            to: string;
            wear: string[];
            /** @description at leaf fall, in the rest, before the buds swell */
            when: string;
        };
        WinterTask: {
            how: string[];
            name: string;
        };
        WorkDay: {
            day: string;
            /** Format: int64 */
            hours: number;
            text: string;
        };
        Workload: {
            /** @description what nobody keeps, or somebody who is switched off */
            nobodys: components["schemas"]["Load"];
            /** @description everybody who may sign in, who has most first */
            people: components["schemas"]["Load"][];
            /**
             * Format: int64
             * @description due cases whose keeper is not there today
             */
            uncaught: number;
        };
    };
    responses: {
        /** @description What is wrong, in which field, and the mend (RFC 9457) */
        Problem: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
    };
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    blend: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MixInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Mixed"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    browse: {
        parameters: {
            query?: {
                /** @description host id */
                host?: string;
                /** @description finding=state, as often as need be */
                seen?: string[];
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Match"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    feeds: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Feed"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "open-feed": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Open-feedRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Feed"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "end-feed": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description the long random text of the page's address */
                token: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Feed"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "list-cases": {
        parameters: {
            query?: {
                /** @description stage of the case; every one when left out */
                stage?: "waiting" | "bench" | "review" | "ready" | "handed" | "referred" | "closed";
                /** @description where the page before ended */
                cursor?: string;
                /** @description how many at most */
                limit?: number;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CaseList"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "check-in": {
        parameters: {
            query?: never;
            header: {
                /** @description one for each sample; a retry with it makes no second case */
                "Idempotency-Key": string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Intake"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            409: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    case: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-act": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ActInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    advice: {
        parameters: {
            query?: {
                /** @description remedies chosen, to hear how they work together */
                chosen?: string[];
            };
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CaseAdvice"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    close: {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CloseInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "set-days": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DaysInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "set-dose": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PlaceInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "follow-up": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["FollowUpInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "hand-over": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["None"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "set-intake": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Intake"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "give-case": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["GiveBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "set-look": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read, from its ETag */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
                /** @description id of a finding of the herbarium */
                finding: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["LookBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "put-look-aside": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read, from its ETag */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
                /** @description id of a finding of the herbarium */
                finding: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AsideBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    messages: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Sent"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "send-message": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SendBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Sent"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "no-messages": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NoneBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NoneBody"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-mix": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MixBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "take-next": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["None"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "end-page": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["None"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "add-photo": {
        parameters: {
            query?: {
                /** @description the file's own name, as a label */
                name?: string;
            };
            header: {
                /** @description the version you read, from its ETag */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    photo: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
                /** @description id of the picture */
                photo: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description the picture */
            200: {
                headers: {
                    "Cache-Control"?: string;
                    "Content-Type"?: string;
                    [name: string]: unknown;
                };
                content: {
                    "image/jpeg": unknown;
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "drop-photo": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read, from its ETag */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
                /** @description id of the picture */
                photo: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "mark-photo": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read, from its ETag */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
                /** @description id of the picture */
                photo: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MarksInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "leaf-share": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
                /** @description id of the picture */
                photo: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ShareRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ShareAnswer"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "plan-days": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DaysInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DaysPlan"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-remedy": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RemedyBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    reopen: {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["None"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    review: {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReviewBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "next-round": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RoundBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    say: {
        parameters: {
            query?: {
                /** @description in any order, misspelt a little, the last one perhaps still being typed */
                words?: string;
            };
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Lines"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-school": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SchoolBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    sheet: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Sheet"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    story: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StoryLine"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    together: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["JointHandout"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    undo: {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["None"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "set-verdict": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["VerdictInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    weigh: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Counted"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Weighed"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    cause: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Cause"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    convert: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ConvertInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Converted"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    day: {
        parameters: {
            query?: {
                /** @description YYYY-MM-DD; today when left out */
                day?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DaySummary"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    practice: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Practice"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "practise-case": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PracticeCase"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "practice-case": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PracticeCase"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "practice-look": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["LookForBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PracticeCase"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "practice-verdict": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PracticeVerdict"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Score"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-course": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Course"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Practice"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    learners: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Learner"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "old-cases": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OldCase"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "offer-old": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OfferBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OldCase"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "practise-old": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PracticeCase"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "ask-me": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AskBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Asked"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "answer-me": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AnswerBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MarkedAnswer"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    earlier: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EarlierInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Treated"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    find: {
        parameters: {
            query?: {
                /** @description in number, grower, plant, story, verdict, remedy or a note; a word's beginning is enough */
                words?: string;
                /** @description id; - for undetermined */
                cause?: string;
                /** @description id; - for a plant the book does not know */
                host?: string;
                /** @description indoors, greenhouse, balcony, garden or orchard */
                place?: string;
                /** @description of the district's grid */
                square?: string;
                /** @description whose case it is, account id; - for nobody's */
                keeper?: string;
                /** @description waiting, bench, review, ready, handed, referred or closed */
                stage?: string;
                /** @description how it ended; - for what has not */
                outcome?: string;
                /** @description id of what was put on */
                remedy?: string;
                /** @description settled, working, open or undetermined */
                degree?: string;
                /** @description id of a verdict that was changed later */
                was?: string;
                /** @description with which import it came, by id */
                import?: string;
                /** @description first day it was brought in, YYYY-MM-DD */
                from?: string;
                /** @description last day it was brought in, YYYY-MM-DD */
                to?: string;
                /** @description yes or no: with or without a picture */
                photos?: string;
                /** @description number, brought, plant, grower, cause, place, stage, outcome, ask, keeper or square, with - before it for the other way round; the newest first when left out */
                sort?: string;
                /** @description how many are passed over */
                skip?: number;
                /** @description how many are answered; 50 when left out */
                most?: number;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FoundCases"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    growers: {
        parameters: {
            query: {
                /** @description two letters at least */
                q: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Grower"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "export-grower": {
        parameters: {
            query: {
                /** @description by id */
                person: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["GrowerFile"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "forget-grower": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ForgetBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ForgottenAs"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "grower-mentions": {
        parameters: {
            query: {
                /** @description by id */
                person: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Mention"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "merge-growers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MergeBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CountBody"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "split-grower": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SplitBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Grower"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "hand-over-together": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TogetherBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["View"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    house: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["House"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-house": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read, from its ETag */
                "If-Match": string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["House"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["House"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    identity: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Identity"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-identity": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read, from its ETag */
                "If-Match": string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Identity"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Identity"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    imports: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportBatch"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "bring-file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BringBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Upload"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "bring-part": {
        parameters: {
            query?: {
                /** @description where in the file it belongs */
                offset?: number;
            };
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": string;
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Upload"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "keep-import": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ImportInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Job"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "read-import": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ImportInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportReading"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "undo-import": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Undone"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    jobs: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Job"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "stop-job": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Job"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    invited: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description the long random text of the page's address */
                token: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InvitedAs"];
                };
            };
            400: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    join: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description the long random text of the page's address */
                token: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["JoinBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Person"];
                };
            };
            400: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            429: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    health: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FileHealth"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-keeping": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read */
                "If-Match": string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Keeping"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FileHealth"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "check-file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Checked"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "drop-book": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FileHealth"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "backup-now": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Backup"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    troubles: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Logged"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    need: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NeedInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Need"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    page: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description the long random text of the page's address */
                token: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Sheet"];
                };
            };
            400: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    people: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Account"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "add-person": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewPerson"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Person"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    invite: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewInvite"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Invite"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "people-trace": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Done"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-person": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Account"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "invite-again": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Invite"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    sessions: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenSession"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "end-session": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
                /** @description as the list has it */
                session: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenSession"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    place: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PlaceInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Dosed"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "record-tables": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Table"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "export-records": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ExportInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Job"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    rounds: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Rounds"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    calibrations: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Calibration"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    calibrate: {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read, from its ETag */
                "If-Match": string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewCalibration"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Calibration"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    camera: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Device"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-camera": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DeviceChange"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Device"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "camera-frame": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description the frame */
            200: {
                headers: {
                    "Cache-Control"?: string;
                    "Content-Type"?: string;
                    "X-Objective"?: string;
                    [name: string]: unknown;
                };
                content: {
                    "image/jpeg": unknown;
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    identify: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeyInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeyAnswer"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "slide-key": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SlideKey"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "photo-scale": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PhotoRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PhotoScale"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    ratio: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RatioRequest"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Ratio"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    reticle: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReadingsBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Factor"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    search: {
        parameters: {
            query: {
                /** @description words; a beginning is enough */
                q: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Tag"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "saved-searches": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SavedSearch"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "save-search": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaveBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SavedSearch"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "drop-search": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SavedSearch"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    season: {
        parameters: {
            query?: {
                /** @description first day, YYYY-MM-DD; a year before the last when left out */
                from?: string;
                /** @description last day, with it; today when left out */
                to?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Season"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    session: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SessionBody"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "sign-in": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SignInInBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    "Set-Cookie"?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SessionBody"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            429: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "sign-out": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    "Set-Cookie"?: string;
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "set-password": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Set-passwordRequest"];
            };
        };
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            429: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    "sign-out-everywhere": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    "Set-Cookie"?: string;
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    split: {
        parameters: {
            query: {
                /** @description id of a cause, two or three times */
                cause: string[];
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SplitLook"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "spray-days": {
        parameters: {
            query: {
                /** @description id of a product */
                remedy: string;
                /** @description the plant is in flower */
                bloom?: boolean;
                /** @description indoors, greenhouse, balcony, garden or orchard; garden when left out */
                place?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SprayWeek"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    lately: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RecentWeather"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "since-spray": {
        parameters: {
            query: {
                /** @description id of one that protects leaves: copper, sulfur */
                remedy: string;
                /** @description the day it was put on, YYYY-MM-DD */
                on: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Since"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    winter: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["WinterAsk"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WinterPlan"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    templates: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Templates"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-templates": {
        parameters: {
            query?: never;
            header: {
                /** @description the version you read, from its ETag */
                "If-Match": string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Templates"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Templates"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            408: components["responses"]["Problem"];
            412: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            428: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
            507: components["responses"]["Problem"];
        };
    };
    today: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Today"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    vocabulary: {
        parameters: {
            query?: never;
            header?: {
                /** @description the tag of the one at hand */
                "If-None-Match"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    "Cache-Control"?: string;
                    ETag?: string;
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Vocabulary"];
                };
            };
            /** @description Not Modified */
            304: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "weather-files": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WeatherFile"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "keep-weather": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["WeatherInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WeatherFile"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "drop-weather": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description its id, as it was answered */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WeatherFile"][];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "read-weather": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["WeatherInput"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WeatherReading"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    workload: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Workload"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "set-away": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AwayBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Workload"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "end-away": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AwayEndBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Workload"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "give-all": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["GiveAllBody"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CountBody"];
                };
            };
            400: components["responses"]["Problem"];
            401: components["responses"]["Problem"];
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            413: components["responses"]["Problem"];
            415: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            500: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "calendar-feed": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description the long random text of the address, with .ics */
                file: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description the days */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/calendar": string;
                };
            };
            404: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "job-file": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description id of the job */
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description the file */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/zip": string;
                    "text/csv": string;
                };
            };
            401: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
        };
    };
    "grower-page-html": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description the long random text of the page's address */
                token: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description the page */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/html": string;
                };
            };
            404: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "grower-tells": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description the long random text of the page's address */
                token: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "multipart/form-data": {
                    /** @description on each leaf, with blanks between */
                    counts?: string;
                    /** @description days ticked off, YYYY-MM-DD */
                    done?: string[];
                    /** @description anything: they want no messages from now on */
                    nomessages?: string;
                    note?: string;
                    /** Format: binary */
                    photo?: string;
                    /** @enum {string} */
                    word?: "gone" | "better" | "same" | "worse";
                };
            };
        };
        responses: {
            /** @description taken: see the page again */
            303: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            403: components["responses"]["Problem"];
            404: components["responses"]["Problem"];
            422: components["responses"]["Problem"];
            429: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
    "grower-days": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                /** @description the long random text of the page's address */
                token: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description the days */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/calendar": string;
                };
            };
            404: components["responses"]["Problem"];
            503: components["responses"]["Problem"];
        };
    };
}
