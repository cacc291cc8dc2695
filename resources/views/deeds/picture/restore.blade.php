@include('deeds.picture.renew')
